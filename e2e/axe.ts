/** What a screen reader and a poor eye need, checked by machine: no fault, and nothing left undecided. */
import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** The colours that words are written in: src/app/contrast.test.ts holds each against every ground they can lie on. */
const INKS = ['--ink', '--ink-soft', '--accent', '--on-accent', '--fault', '--caution', '--good'];

/**
 * What the machine cannot decide is decided here. Contrast over a drawing, or under the edge of a sheet: decided when the
 * words are in one of the inks. The library's own stops at the edges of a sheet, and a button that names its menu or its form:
 * looked at by hand, in order.
 */
const LOOKED_AT = [
  /^aria-hidden-focus: .*data-radix-focus-guard/,
  /^aria-valid-attr-value: .*aria-haspopup="(menu|dialog)"/,
];

export async function expectNothingForAxe(
  page: Page,
  { within, enhanced = false }: { within?: string; enhanced?: boolean } = {},
) {
  const builder = new AxeBuilder({ page });
  if (within !== undefined) builder.include(within);
  if (enhanced) builder.options({ rules: { 'color-contrast-enhanced': { enabled: true } } });
  const { violations, incomplete } = await builder.analyze();
  const named = (found: typeof violations) =>
    found.flatMap(({ id, nodes }) =>
      nodes.map(({ html, target }) => ({ id, target: target.join(' '), html: html.slice(0, 200) })),
    );
  const said = ({ id, target, html }: { id: string; target: string; html: string }) => `${id}: ${target} ${html}`;
  expect(named(violations).map(said)).toEqual([]);
  const undecided = named(incomplete);
  const inks = await page.evaluate(
    ([tokens, targets]) => {
      const probe = document.body.appendChild(document.createElement('span'));
      const known = new Set(
        tokens.map((token) => {
          probe.style.color = `var(${token})`;
          return getComputedStyle(probe).color;
        }),
      );
      probe.remove();
      return targets.map((target) => {
        const at = document.querySelector(target);
        // A notice that has faded since: the next look finds the page without it.
        if (!at) return true;
        const style = getComputedStyle(at);
        const isOnPaper = at.closest('[data-testid="page"]') !== null;
        return isOnPaper || known.has(at instanceof SVGElement ? style.fill : style.color) || known.has(style.color);
      });
    },
    [INKS, undecided.map(({ target }) => target)] as const,
  );
  const open = undecided.filter(
    (each, i) => !(each.id.startsWith('color-contrast') && inks[i]) && !LOOKED_AT.some((rule) => rule.test(said(each))),
  );
  expect(open.map(said)).toEqual([]);
}
