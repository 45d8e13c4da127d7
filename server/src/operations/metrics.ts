import { Injectable } from '@nestjs/common';
import type { RequestHandler } from 'express';
import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';
import { quantileSorted } from 'simple-statistics';
import type { OperationsView } from '@vendu/contract';
import { isLoopback } from '../configuration.js';
import { Statements } from '../database/statements.js';
import { Room } from './room.js';

const SECONDS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10];
const RECENT = 1000;

/** What the server counts of itself: for the page of whoever looks after it, and for programs that watch it. */
@Injectable()
export class Metrics {
  private readonly registry = new Registry();
  private readonly seconds = new Histogram({
    name: 'vendu_request_seconds',
    help: 'How long answers took, by route and status; streams are left out',
    labelNames: ['method', 'route', 'status'],
    buckets: SECONDS,
    registers: [this.registry],
  });
  private readonly recentMs: number[] = [];
  private readonly counts = { answered: 0, refused: 0, failed: 0 };

  constructor(
    statements: Statements,
    private readonly room: Room,
  ) {
    collectDefaultMetrics({ register: this.registry });
    const registers = [this.registry];
    new Counter({
      name: 'vendu_statements_total',
      help: 'Statements that the database was asked',
      registers,
      collect() {
        this.reset();
        this.inc(statements.count);
      },
    });
    new Counter({
      name: 'vendu_statement_seconds_total',
      help: 'How long all statements took together',
      registers,
      collect() {
        this.reset();
        this.inc(statements.totalMs / 1000);
      },
    });
    new Gauge({
      name: 'vendu_disk_full',
      help: '1 while the disk of the database has no room to store anything',
      registers,
      collect() {
        this.set(room.isFull ? 1 : 0);
      },
    });
  }

  readonly counting: RequestHandler = (request, response, next) => {
    const begun = performance.now();
    response.once('finish', () => {
      if (String(response.getHeader('content-type')).startsWith('text/event-stream')) return;
      const ms = performance.now() - begun;
      const { statusCode } = response;
      // As it is written, without the ids of things: `/api/lots/:lotId`.
      const route = (request.route as { path?: unknown } | undefined)?.path;
      this.seconds.observe(
        { method: request.method, route: typeof route === 'string' ? route : 'other', status: statusCode },
        ms / 1000,
      );
      this.room.answered(request.method, statusCode);
      this.counts.answered++;
      if (statusCode >= 500) this.counts.failed++;
      else if (statusCode >= 400) this.counts.refused++;
      this.recentMs.push(ms);
      if (this.recentMs.length > RECENT) this.recentMs.shift();
    });
    next();
  };

  /** In the text that Prometheus reads, to programs of this machine alone, and not through a proxy. */
  readonly told: RequestHandler = (request, response, next) => {
    if (request.path !== '/metrics') {
      next();
      return;
    }
    const isFromHere =
      isLoopback(request.socket.remoteAddress ?? '') && request.headers['x-forwarded-for'] === undefined;
    if (!isFromHere) {
      response.status(404).end();
      return;
    }
    void this.registry.metrics().then((text) => response.type(this.registry.contentType).send(text), next);
  };

  summary(): OperationsView['requests'] {
    const sorted = [...this.recentMs].sort((a, b) => a - b);
    const at = (share: number) => (sorted.length === 0 ? 0 : Math.round(quantileSorted(sorted, share)));
    return { ...this.counts, medianMs: at(0.5), p95Ms: at(0.95) };
  }
}
