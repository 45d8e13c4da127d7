import { createParamDecorator, type ExecutionContext } from '@nestjs/common';
import { isUUID } from 'class-validator';
import type { Request } from 'express';
import { REQUEST_KEY_HEADER } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { invalidField } from '../problem/problem-error.js';

/** Which request this is: the same sent again carries the same key, and is stored once. */
export interface RequestKeyOf {
  key: string;
  personId: number;
  /** What was asked for, so that a key cannot stand for two things. */
  what: string;
}

/** The key that the client gave a request that stores something new; `null` where it gave none. */
export const RequestKey = createParamDecorator(
  (_: unknown, context: ExecutionContext): RequestKeyOf | null => {
    const request = context.switchToHttp().getRequest<Request & { person?: PersonModel }>();
    const key = request.get(REQUEST_KEY_HEADER);
    if (key === undefined) return null;
    if (!isUUID(key)) {
      throw invalidField({
        field: REQUEST_KEY_HEADER,
        message: 'The key of a request is a UUID.',
        allowed: 'a UUID, as 6c1f0c3e-2f7b-4b0e-9a59-0d5c8c1d4f7a',
      });
    }
    return {
      key: key.toLowerCase(),
      personId: request.person?.id ?? 0,
      what: `${request.method} ${request.path}`.slice(0, 200),
    };
  },
);
