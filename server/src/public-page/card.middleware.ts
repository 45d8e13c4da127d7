import { join } from 'node:path';
import express, { Router } from 'express';
import { cardClientRoot } from './page-assets.js';

/** Serves what the pages of cards bring along, where it was built. */
export function cardMiddleware(): Router {
  const router = Router();
  const root = cardClientRoot();
  if (root === null) return router;
  // Under the pages, so that it may look after them.
  router.get('/r/sw.js', (_, response) => {
    response.sendFile(join(root, 'sw.js'), { headers: { 'Cache-Control': 'no-cache' } });
  });
  // File names carry a hash of their contents, so they may be kept for good.
  router.use(
    '/card',
    express.static(root, { immutable: true, maxAge: '1y', index: false, fallthrough: false }),
  );
  return router;
}
