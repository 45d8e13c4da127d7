/** A difference with its sign and so many digits: `+0.4`, `−12`, `0`. Uses the true minus sign. */
export function formatSigned(value: number, digits: number): string {
  const shown = Math.abs(value).toFixed(digits);
  if (Number(shown) === 0) return shown;
  return `${value > 0 ? '+' : '−'}${shown}`;
}
