/** @example listed(['dose', 'grind', 'kettle']) // 'dose, grind and kettle' */
export function listed(things: readonly string[]): string {
  if (things.length < 2) return things.join('');
  return `${things.slice(0, -1).join(', ')} and ${things.at(-1) ?? ''}`;
}
