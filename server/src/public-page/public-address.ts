import type { Request } from 'express';

/** The address of a card, as whoever asks for it knows this server. */
export function publicAddress(slug: string, request: Request): string {
  return `${request.protocol}://${request.get('host') ?? 'localhost'}/r/${slug}`;
}
