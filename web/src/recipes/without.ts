/** An object without one of its fields: a plan has no empty steps, it has none. */
export function without<T extends object, K extends keyof T>(object: T, field: K): Omit<T, K> {
  return Object.fromEntries(Object.entries(object).filter(([name]) => name !== field)) as Omit<T, K>;
}
