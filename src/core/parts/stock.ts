/** Mass of a length of stock sold by length, kg. */
export function wireMass(stock: { readonly massKg: number; readonly stockLengthM: number }, lengthM: number): number {
  return (stock.massKg / stock.stockLengthM) * lengthM;
}
