import type { Request } from 'express';

/** By https browsers hold a cookie of such a name to that, and take it from no other host and no page in the clear. */
const HELD_TO_HTTPS = '__Secure-';

/** Of a cookie that goes with some paths only; that of the session is named where it is made. */
export function cookieName(plain: string, { secure }: Pick<Request, 'secure'>): string {
  return secure ? `${HELD_TO_HTTPS}${plain}` : plain;
}
