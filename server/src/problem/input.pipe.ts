import { ValidationPipe, type ValidationError } from '@nestjs/common';
import { fieldErrorsOf } from '@vendu/contract';
import { ProblemError } from './problem-error.js';

/** Checks every body and parameter against its DTO class; unknown fields are refused, not dropped. */
export function inputPipe(): ValidationPipe {
  return new ValidationPipe({
    transform: true,
    whitelist: true,
    forbidNonWhitelisted: true,
    stopAtFirstError: true,
    exceptionFactory: (errors: ValidationError[]) => {
      const fieldErrors = fieldErrorsOf(errors);
      return new ProblemError(
        'invalid-input',
        fieldErrors[0]?.message ?? 'The request has no body.',
        fieldErrors,
      );
    },
  });
}
