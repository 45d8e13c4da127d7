/** What stands before several servers, and between them and the nodes of a database. */
export interface ProxyPlan {
  /** Where people come in. */
  listenOn: string;
  port: number;
  /** Ports of the servers, on loopback. */
  servers: readonly number[];
  /** Proxies before this one, addresses or subnets, that are believed when they say that somebody came by https. */
  proxies: readonly string[];
  /** Whom it runs as once its ports are open; `null` where it is who it is. */
  user: string | null;
  database: DatabasePlan | null;
}

export interface DatabasePlan {
  /** Where the servers find the database. */
  socket: string;
  nodes: readonly { name: string; socket: string; toldPort: number }[];
}

/** Where everything behind is down that is told as the application tells it. */
const unavailable = (status: number) =>
  JSON.stringify({
    type: '/problems/unavailable',
    title: 'The server does not answer',
    status,
    detail: 'The server does not answer just now. Try again in a moment.',
    instance: '',
    requestId: '',
    errors: [],
  });

/** The configuration of HAProxy, as its manual has it (version 2.6). */
export function haproxyConfig(plan: ProxyPlan): string {
  return [
    [
      'global',
      '  maxconn 4000',
      '  log stdout format raw local0 notice',
      ...(plan.user === null ? [] : [`  user ${plan.user}`, `  group ${plan.user}`]),
    ],
    [
      'defaults',
      '  log global',
      '  timeout connect 4s',
      // As long as an idle connection stays at the server; an answer that goes on says something every 20 s.
      '  timeout client 75s',
      '  timeout server 75s',
      '  timeout http-request 30s',
      '  timeout queue 10s',
    ],
    lab(plan),
    servers(plan.servers),
    feeds(plan.servers),
    ...(plan.database === null ? [] : [database(plan.database)]),
  ]
    .map((part) => part.join('\n'))
    .join('\n\n')
    .concat('\n');
}

function lab({ listenOn, port, proxies }: ProxyPlan): string[] {
  const bind = listenOn === '::' ? `[::]:${port} v4v6` : `${listenOn}:${port}`;
  return [
    'frontend lab',
    '  mode http',
    `  bind ${bind}`,
    // Who asked is added to what a proxy before this one said; the servers read it from the right.
    '  option forwardfor',
    proxies.length === 0
      ? '  http-request set-header x-forwarded-proto http'
      : `  http-request set-header x-forwarded-proto http unless { src ${proxies.flatMap(networksOf).join(' ')} }`,
    ...[502, 503, 504].map(
      (status) =>
        `  http-error status ${status} content-type application/problem+json string '${unavailable(status)}' hdr retry-after 2`,
    ),
    '  use_backend feeds if { path_beg /api/instrument-feeds/ }',
    '  default_backend servers',
  ];
}

/** Words that stand for networks in the lab's configuration. */
const NETWORKS: Partial<Record<string, readonly string[]>> = {
  loopback: ['127.0.0.0/8', '::1'],
  linklocal: ['169.254.0.0/16', 'fe80::/10'],
  uniquelocal: ['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16', 'fc00::/7'],
};
const networksOf = (proxy: string) => NETWORKS[proxy] ?? [proxy];

const serverLines = (ports: readonly number[]) =>
  ports.map((port, at) => `  server server-${at + 1} 127.0.0.1:${port} check inter 1s fall 2 rise 1`);

function servers(ports: readonly number[]): string[] {
  return [
    'backend servers',
    '  mode http',
    '  balance leastconn',
    // Whether the server runs, whatever its database does: it tells that better than a proxy could.
    '  option httpchk GET /api/health/live',
    // What was not sent yet may go to another; what was sent may have been done.
    '  retries 3',
    '  retry-on conn-failure',
    '  option redispatch 1',
    ...serverLines(ports),
  ];
}

/** Instruments and the benches that listen to them meet at one server: told by the key of the feed, which is its path. */
function feeds(ports: readonly number[]): string[] {
  return [
    'backend feeds',
    '  mode http',
    '  balance uri',
    '  hash-type consistent',
    '  option httpchk GET /api/health/live',
    ...serverLines(ports),
  ];
}

/**
 * All servers write to one node, since what holds a row there holds it for all of them; when it is not well they go on
 * at another together, and stay there when it is back.
 */
function database({ socket, nodes }: DatabasePlan): string[] {
  return [
    'listen database',
    '  mode tcp',
    `  bind unix@${socket} mode 600`,
    '  timeout client 8h',
    '  timeout server 8h',
    '  stick-table type integer size 1 nopurge',
    '  stick on int(1)',
    '  option httpchk GET /',
    ...nodes.map(
      ({ name, socket: at, toldPort }) =>
        `  server ${name} unix@${at} check addr 127.0.0.1 port ${toldPort} inter 500 fall 2 rise 2 on-marked-down shutdown-sessions`,
    ),
  ];
}
