import 'reflect-metadata';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import compression from 'compression';
import express, { type RequestHandler, type Response } from 'express';
import helmet from 'helmet';
import { Logger } from 'nestjs-pino';
import { AppModule } from './app.module.js';
import { isLoopback, type Configuration } from './configuration.js';
import { serveOpenApi } from './openapi/openapi.js';
import { actingMiddleware } from './writing/acting.js';
import { Congestion } from './operations/congestion.js';
import { Metrics } from './operations/metrics.js';
import { cardMiddleware } from './public-page/card.middleware.js';
import { readJson } from './input/read-body.js';
import { inputPipe } from './problem/input.pipe.js';
import { ProblemFilter } from './problem/problem.filter.js';
import { requestIdMiddleware } from './request-id.middleware.js';
import { cachingMiddleware } from './session/caching.middleware.js';
import { httpsMiddleware } from './session/https.middleware.js';
import { phonesMiddleware } from './session/phones.middleware.js';
import { originMiddleware } from './session/origin.middleware.js';
import { sessionMiddleware } from './session/session.middleware.js';
import { siteMiddleware } from './site/site.middleware.js';
import { styleNonceMiddleware, styleNonceOf } from './site/style-nonce.js';

/**
 * How long an idle connection stays. Node hangs up after 5 s, and a request that is on its way just then is lost with
 * "connection reset"; browsers and proxies let go before this.
 */
const IDLE_CONNECTION_MS = 75_000;

/** A hundred lines of the longest. */
const FEED_LIMIT = '24kb';

const SECURITY_HEADERS = {
  contentSecurityPolicy: {
    directives: {
      'base-uri': ["'none'"],
      'script-src': ["'self'"],
      'style-src': [
        "'self'",
        (_request: IncomingMessage, response: ServerResponse) =>
          `'nonce-${styleNonceOf(response as unknown as Response)}'`,
      ],
      'worker-src': ["'self'", 'blob:'],
      'font-src': ["'self'", 'data:'],
      // The lab's server speaks plain http on loopback; an upgrade would break it.
      'upgrade-insecure-requests': null,
    },
  },
  strictTransportSecurity: false,
} as const;

/** All requests but those under one path. */
function except(path: string, handler: RequestHandler): RequestHandler {
  return (request, response, next) => {
    if (request.path === path || request.path.startsWith(`${path}/`)) next();
    else void handler(request, response, next);
  };
}

/** Builds the application, ready to listen. Tests build the same one. */
export async function createApplication(configuration: Configuration): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(configuration), {
    bufferLogs: true,
    forceCloseConnections: true,
    bodyParser: false,
  });
  app.useLogger(app.get(Logger));
  if (configuration.proxies.length > 0) app.set('trust proxy', [...configuration.proxies]);
  const metrics = app.get(Metrics);
  app.use(requestIdMiddleware);
  app.use(metrics.counting);
  app.use(metrics.told);
  app.use(styleNonceMiddleware);
  app.use(helmet(SECURITY_HEADERS));
  app.use(compression());
  app.use(cardMiddleware());
  // The page before the session: a database that is down must not keep the application from opening.
  if (configuration.webRoot !== null) app.use(siteMiddleware(configuration.webRoot));
  if (configuration.opensToPhones) app.use('/api', phonesMiddleware);
  if (!isLoopback(configuration.reachedOn)) app.use('/api', httpsMiddleware);
  app.use('/api', cachingMiddleware);
  app.use('/api', originMiddleware);
  // Whether the server runs is said without asking anybody who it is that asks.
  app.use('/api', except('/health', app.get(Congestion).shedding));
  app.use('/api', except('/health', sessionMiddleware({ secret: configuration.sessionSecret })));
  app.use('/api', readJson);
  // Last of what is not the application's: what reads a stream begins a course of its own.
  app.use('/api', actingMiddleware);
  app.use(
    '/api/instrument-feeds',
    express.text({ limit: FEED_LIMIT, type: ['text/plain', 'application/x-ndjson'] }),
  );
  // Customers' pages have short addresses, that fit on a bag.
  app.setGlobalPrefix('api', { exclude: ['r/:slug', 'r/:slug/*rest'] });
  app.useGlobalPipes(inputPipe());
  app.useGlobalFilters(new ProblemFilter());
  app.enableShutdownHooks();
  app.getHttpServer().keepAliveTimeout = IDLE_CONNECTION_MS;
  serveOpenApi(app);
  return app;
}
