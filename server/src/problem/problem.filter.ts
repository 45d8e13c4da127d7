import { Catch, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Request, Response } from 'express';
import type { Problem } from '@vendu/contract';
import { classify, PROBLEMS } from './classify.js';

/** Answers every failure in one shape: application/problem+json (RFC 9457). */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger(ProblemFilter.name);

  catch(thrown: unknown, host: ArgumentsHost): void {
    const request = host.switchToHttp().getRequest<Request>();
    const response = host.switchToHttp().getResponse<Response>();
    const { kind, detail, errors, retryAfterS } = classify(thrown);
    const { status, title } = PROBLEMS[kind];
    if (status >= 500) this.logger.error(thrown);
    // A stream that has begun cannot take its answer back.
    if (response.headersSent) return void response.end();
    if (status === 503 || status === 429) response.setHeader('Retry-After', retryAfterS);
    const problem: Problem = {
      type: `/problems/${kind}`,
      title,
      status,
      detail,
      instance: request.originalUrl,
      requestId: response.get('X-Request-Id') ?? '',
      errors,
    };
    response.status(status).type('application/problem+json').send(JSON.stringify(problem));
  }
}
