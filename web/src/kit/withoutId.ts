/** What is stored of a thing as a form takes it: all but its number, which is in the address. */
export function withoutId<T extends { id: number }>({ id: _, ...rest }: T): Omit<T, 'id'> {
  return rest;
}
