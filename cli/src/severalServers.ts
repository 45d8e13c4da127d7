import type { ApplicationSettings } from './application.js';
import type { DatabasePlan, ProxyPlan } from './proxy/haproxyConfig.js';

const OWN_MACHINE = '127.0.0.1';

/** How a lab is reached, as its one server would be told. */
type Reached = Pick<ApplicationSettings, 'port' | 'extraEnv'>;

const portOf = ({ port }: Reached, at: number) => port + 1 + at;

/** Settings of each of several servers of one lab: found by their proxy alone, at the ports after that of the lab. */
export function settingsOfEach<S extends Reached>(settings: S, count: number): S[] {
  const { VENDU_LISTEN: reachedOn = OWN_MACHINE, VENDU_PROXIES: proxies } = settings.extraEnv ?? {};
  return Array.from({ length: count }, (_, at) => ({
    ...settings,
    port: portOf(settings, at),
    extraEnv: {
      ...settings.extraEnv,
      VENDU_LISTEN: OWN_MACHINE,
      VENDU_REACHED_ON: reachedOn,
      VENDU_PROXIES: proxies === undefined ? 'loopback' : `loopback,${proxies}`,
      VENDU_SERVER: `${at + 1} of ${count}`,
    },
  }));
}

/** The proxy that stands before them, and between them and the nodes of a cluster. */
export function proxyPlanOf(
  settings: Reached,
  count: number,
  database: DatabasePlan | null = null,
): Omit<ProxyPlan, 'user'> {
  const { VENDU_LISTEN: listenOn = OWN_MACHINE, VENDU_PROXIES: proxies } = settings.extraEnv ?? {};
  return {
    listenOn,
    port: settings.port,
    servers: Array.from({ length: count }, (_, at) => portOf(settings, at)),
    proxies: proxies?.split(',') ?? [],
    database,
  };
}
