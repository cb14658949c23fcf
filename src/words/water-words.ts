/** Waters by what salt is in them: what people call them, and what that is taken for. */
export const WATERS_BY_SALT: readonly { readonly name: string; readonly salinityGPerKg: number }[] = [
  { name: 'fresh', salinityGPerKg: 0 },
  { name: 'brackish', salinityGPerKg: 7 },
  { name: 'sea', salinityGPerKg: 35 },
];
