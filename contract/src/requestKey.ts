/**
 * Header of a POST that stores something new: a UUID of the client's making. The same request sent again under the same
 * key is stored once and answered as the first one was.
 */
export const REQUEST_KEY_HEADER = 'Idempotency-Key';
