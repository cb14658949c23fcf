/** The user's own day, as 2031-09-14. */
export function today(): string {
  return isoDay(Date.now());
}

/** The day of a moment where the user is, as 2031-09-14. */
export function isoDay(at: number): string {
  const day = new Date(at);
  const two = (value: number) => String(value).padStart(2, '0');
  return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
}
