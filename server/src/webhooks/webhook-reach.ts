import { lookup } from 'node:dns';
import { isIP, type LookupFunction } from 'node:net';
import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import ipaddr from 'ipaddr.js';
import { Agent, type Dispatcher } from 'undici';
import type { Configuration } from '../configuration.js';
import { CONFIGURATION } from '../configuration.token.js';

/**
 * How far messages go. A lead names addresses, and whoever keeps the machine knows its network: programs of that, and
 * those without https, are told only where the configuration names their host.
 */
@Injectable()
export class WebhookReach implements OnModuleDestroy {
  private readonly anywhere = new Agent();
  private readonly openWeb = new Agent({ connect: { lookup: openWebOnly } });

  constructor(@Inject(CONFIGURATION) private readonly configuration: Pick<Configuration, 'webhookHosts'>) {}

  /** What is on its way arrives, or is given up by itself. */
  async onModuleDestroy(): Promise<void> {
    await Promise.all([this.anywhere.close(), this.openWeb.close()]);
  }

  /** Why an address is not one to be told; `null` where it is. A name may still lead into the network: see `dispatcherFor`. */
  refusalOf(url: string): string | null {
    if (this.isNamed(url)) return null;
    const { protocol, hostname } = new URL(url);
    if (protocol !== 'https:') return `Address must begin with https, ${UNLESS_NAMED}`;
    const literal = hostname.replace(/^\[|\]$/g, '');
    if (isIP(literal) !== 0 && !isOfOpenWeb(literal))
      return `Address must not be of the lab's own network, ${UNLESS_NAMED}`;
    return null;
  }

  /**
   * What a message goes by. Where a name leads is looked at when it is connected to, not before: it may lead elsewhere by then.
   *
   * @throws Error where the address is refused by itself: it was taken before its host had to be named
   */
  dispatcherFor(url: string): Dispatcher {
    const refusal = this.refusalOf(url);
    if (refusal !== null) throw new Error(refusal);
    return this.isNamed(url) ? this.anywhere : this.openWeb;
  }

  /** By its name at any port, or by name and port. */
  private isNamed(url: string): boolean {
    const { hostname, host } = new URL(url);
    return this.configuration.webhookHosts.some((named) => named === hostname || named === host);
  }
}

const UNLESS_NAMED = 'unless whoever keeps the machine names its host in webhookHosts.';

/** An address that whoever asks from elsewhere would reach too. */
function isOfOpenWeb(address: string): boolean {
  return ipaddr.process(address).range() === 'unicast';
}

const openWebOnly: LookupFunction = (hostname, options, done) => {
  lookup(hostname, { ...options, all: true }, (error, addresses) => {
    if (error) return done(error, '', 0);
    const [first] = addresses;
    if (!first || !addresses.every(({ address }) => isOfOpenWeb(address)))
      return done(new Error(`${hostname} leads into the lab's own network`), '', 0);
    if (options.all) done(null, addresses);
    else done(null, first.address, first.family);
  });
};
