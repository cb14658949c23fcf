/**
 * What the user last had the hand on outside menus and sheets: where the focus goes when one closes. A menu's own entries
 * are gone by then, its button is not.
 */
let last: HTMLElement | null = null;

function note(event: Event): void {
  const at = event.target instanceof HTMLElement ? event.target : null;
  const control = at?.closest<HTMLElement>('button, a, input, select, textarea, summary, [tabindex]');
  if (control && !control.closest('[role="menu"], [role="dialog"]')) last = control;
}

if (typeof document !== 'undefined') {
  document.addEventListener('focusin', note);
  // Some browsers do not give a pressed button the focus.
  document.addEventListener('pointerdown', note);
}

export function lastFocus(): HTMLElement | null {
  return last;
}
