/** What is tried in the Tank just now; what is wanted, and the water, are settings. */
import { create } from 'zustand';
import type { ToldMove } from '@/core/tune/best-moves';
import type { Target, Want } from '@/core/tune/target';
import { MOST_TARGETS, type TankSettings } from '@/data/settings';
import { useDesk } from '@/desk/desk-state';
import { changeSettings } from '@/desk/settings';

/** A move that the eye or the focus is on: shown as a ghost. */
export const useTank = create<{ readonly tried: Omit<ToldMove, 'isTied'> | null }>(() => ({ tried: null }));

export function tryMove(tried: Omit<ToldMove, 'isTied'> | null) {
  useTank.setState({ tried });
}

export function changeTank(changes: Partial<TankSettings>) {
  changeSettings({ tank: { ...useDesk.getState().settings.tank, ...changes } });
}

/** The target with one line's want replaced; a line of which nothing is wanted is left out. */
export function withWant(wanted: Target | null, line: Want['line'], want: Want | null): Target | null {
  const others = wanted?.wants.filter((each) => each.line !== line) ?? [];
  const wants = want ? [...others, want] : others;
  return wants.length > 0 ? { name: wanted?.name ?? 'What I want', wants } : null;
}

/** Keeps a target under its name, in place of one of that name. */
export function keepTarget(target: Target): boolean {
  const { targets } = useDesk.getState().settings.tank;
  const others = targets.filter(({ name }) => name !== target.name);
  if (others.length >= MOST_TARGETS) return false;
  changeTank({ targets: [...others, target], wanted: target });
  return true;
}
