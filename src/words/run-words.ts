/** Why something cannot be noted with a piece that is being made. */
export function runRefusalWords(field: PropertyKey | undefined): string {
  switch (field) {
    case 'notes':
      return 'A note has at most 2,000 letters; it was kept as it was.';
    case 'spoiled':
      return '200 spoiled pieces are noted with this one already; no more are.';
    case 'timers':
      return '50 waits are running already; put one away first.';
    case 'done':
      return 'More steps than one piece takes: begin another.';
    default:
      return 'That cannot be kept with this piece, so it was left as it was.';
  }
}
