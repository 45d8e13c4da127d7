/** The cookie of a session that a sign-in opened, as a request sends it back; the answer may bring others beside it. */
export function sessionCookie({ headers }: Response): string {
  const cookie = headers.getSetCookie().find((each) => each.startsWith('vendu.sid='));
  return cookie?.split(';')[0] ?? '';
}
