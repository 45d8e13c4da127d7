import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import express, { Router } from 'express';
import { styleNonceOf } from './style-nonce.js';

/** The API, and the pages of cards: made by the server. */
const IS_SERVED = /^\/(api|r\/.)/;

/**
 * Serves the built web application: its files, and its one page for every other address, so that a
 * deep link such as `/lots/3` opens. Addresses under `/api` and missing assets fall through to 404.
 */
export function siteMiddleware(webRoot: string): Router {
  const file = join(webRoot, 'index.html');
  if (!existsSync(file)) throw new Error(`no built web application in ${webRoot}`);
  const router = Router();
  // File names of assets carry a hash of their contents, so they may be kept for good.
  router.use(
    '/assets',
    express.static(join(webRoot, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
  );
  router.use(express.static(webRoot, { index: false }));
  router.use((request, response, next) => {
    const isPage =
      request.method === 'GET' && !IS_SERVED.test(request.path) && request.accepts('html') !== false;
    if (!isPage) {
      next();
      return;
    }
    // Read anew: it may have been built again under a server that runs.
    readFile(file, 'utf8').then((text) => {
      response.setHeader('Cache-Control', 'no-cache');
      response.type('html').send(withWord(text, styleNonceOf(response)));
    }, next);
  });
  return router;
}

const NO_WORD = '<meta name="style-nonce" content="" />';

/** The page with the word that its styles show. */
const withWord = (page: string, nonce: string) =>
  page.replace(NO_WORD, `<meta name="style-nonce" content="${nonce}" />`);
