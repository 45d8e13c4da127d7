import { networkInterfaces } from 'node:os';
import { Inject, Injectable } from '@nestjs/common';
import type { Request } from 'express';
import type { Configuration } from '../configuration.js';
import { CONFIGURATION } from '../configuration.token.js';

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

/** Where phones in the same room find this server. */
@Injectable()
export class PhoneOrigin {
  constructor(@Inject(CONFIGURATION) private readonly configuration: Configuration) {}

  /** @returns `http://10.0.0.7:4600`; `null` where the server listens to this machine only */
  of(request: Pick<Request, 'protocol' | 'get'>): string | null {
    const host = request.get('host') ?? '';
    // Reached by a name that others can use, as behind a proxy.
    if (host !== '' && !LOOPBACK.includes(host.replace(/:\d+$/, ''))) return `${request.protocol}://${host}`;
    if (!this.configuration.opensToPhones) return null;
    const [own] = Object.values(networkInterfaces())
      .flat()
      .filter((address) => address?.family === 'IPv4' && !address.internal);
    return own ? `http://${own.address}:${this.configuration.port}` : null;
  }

  /** The same for what is printed or drawn: where no phone can come, this machine can. */
  originFor(request: Pick<Request, 'protocol' | 'get'>): string {
    return this.of(request) ?? `${request.protocol}://${request.get('host') ?? 'localhost'}`;
  }
}
