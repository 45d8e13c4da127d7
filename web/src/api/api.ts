import { createApi, fetchBaseQuery, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import { REQUEST_KEY_HEADER } from '@vendu/contract';
import { requestAnswered, requestKeyFor } from './requestKeys';

// Absolute, since only browsers resolve a relative address.
const ask = fetchBaseQuery({ baseUrl: `${window.location.origin}/api` });

/** Stores nothing that could be doubled, and carries a password, which no device may write down. */
const SIGN_IN = 'session';

/** Every request that stores something new has a key, so that the same sent twice is stored once. */
const askOnce: typeof ask = async (args, api, options) => {
  if (typeof args === 'string' || args.method !== 'POST' || args.url === SIGN_IN) {
    return ask(args, api, options);
  }
  const { url } = args;
  const body: unknown = args.body;
  const headers = {
    ...(args.headers as Record<string, string>),
    [REQUEST_KEY_HEADER]: requestKeyFor(url, body),
  };
  const answer = await ask({ ...args, headers }, api, options);
  if (!answer.error || isAnswer(answer.error)) requestAnswered(url, body);
  return answer;
};

let writesAnswered = 0;

/** A read that a write overtook is made again: what it brings may be of before the write, and would be shown as of now. */
export const askInOrder: typeof ask = async (args, api, options) => {
  if (typeof args !== 'string' && (args.method ?? 'GET') !== 'GET') {
    const answer = await askOnce(args, api, options);
    writesAnswered++;
    return answer;
  }
  for (;;) {
    const before = writesAnswered;
    const answer = await ask(args, api, options);
    if (writesAnswered === before || api.signal.aborted) return answer;
  }
};

/** A refusal is an answer; a server that does not get to it is none. */
function isAnswer({ status }: FetchBaseQueryError): boolean {
  return typeof status === 'number' && status < 500 && status !== 429;
}

/** What answers are about: a change names those that may have changed with it. */
export const TAGS = [
  'Practice',
  'Running',
  'Session',
  'OpenSession',
  'Kit',
  'Lot',
  'Recipe',
  'Brew',
  'Published',
  'Token',
  'Webhook',
  'Import',
  'Person',
  'SecondFactor',
  'CodeRule',
  'Comparison',
] as const;

/** The one API of the server; each feature adds its endpoints to it. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: askInOrder,
  tagTypes: TAGS,
  endpoints: () => ({}),
});
