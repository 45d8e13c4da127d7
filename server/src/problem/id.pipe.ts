import { Injectable, type ArgumentMetadata, type PipeTransform } from '@nestjs/common';
import { notFound } from './problem-error.js';

const LARGEST_ID = 2_147_483_647;

/** Reads an id from an address. `/lots/abc` names no lot, so it is not found rather than malformed. */
@Injectable()
export class IdPipe implements PipeTransform<string, number> {
  transform(text: string, { data }: ArgumentMetadata): number {
    const id = /^\d{1,10}$/.test(text) ? Number(text) : 0;
    if (id < 1 || id > LARGEST_ID)
      throw notFound(data === 'id' || data === undefined ? 'page' : data.replace(/Id$/, ''));
    return id;
  }
}
