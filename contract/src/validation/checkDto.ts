import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync } from 'class-validator';
import { fieldErrorsOf, type FieldError } from './fieldError.js';

/** Checks a plain object against a DTO class, as the server will; for forms, before anything is sent. */
export function checkDto<T extends object>(dto: ClassConstructor<T>, plain: object): FieldError[] {
  return fieldErrorsOf(
    validateSync(plainToInstance(dto, plain), {
      whitelist: true,
      forbidNonWhitelisted: true,
      stopAtFirstError: true,
    }),
  );
}
