import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { ExportButton } from './ExportButton';

afterEach(() => vi.unstubAllGlobals());

/** A server that sends as it is told to. */
function serving() {
  let sending: ReadableStreamDefaultController<Uint8Array> | null = null;
  const body = new ReadableStream<Uint8Array>({ start: (controller) => void (sending = controller) });
  const ask = vi.fn((_url: string, { signal }: { signal: AbortSignal }) => {
    signal.addEventListener('abort', () => sending?.error(new DOMException('stopped', 'AbortError')));
    const headers = { 'content-disposition': 'attachment; filename="vendu-2026-11-30.zip"' };
    return Promise.resolve(new Response(body, { headers }));
  });
  vi.stubGlobal('fetch', ask);
  const saved: string[] = [];
  vi.stubGlobal(
    'URL',
    Object.assign(URL, { createObjectURL: () => 'blob:file', revokeObjectURL: () => undefined }),
  );
  vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    saved.push(this.download);
  });
  return {
    send: (bytes: number) => sending?.enqueue(new Uint8Array(bytes)),
    end: () => sending?.close(),
    breakOff: () => sending?.error(new TypeError('gone')),
    saved,
  };
}

const show = () => render(<ExportButton url="/api/export/lab.zip" words="Export everything" />);
const start = () => userEvent.click(screen.getByRole('button', { name: 'Export everything' }));

it('says how far it is, and hands the file over under its name', async () => {
  const server = serving();
  show();
  await start();
  server.send(1_500_000);
  await screen.findByText('1.5 MB');
  server.send(700_000);
  await screen.findByText('2.2 MB');
  server.end();
  await screen.findByRole('button', { name: 'Export everything' });
  expect(server.saved).toEqual(['vendu-2026-11-30.zip']);
});

it('hands nothing over that broke off, and says so', async () => {
  const server = serving();
  show();
  await start();
  server.send(100);
  server.breakOff();
  await screen.findByText(/It broke off, and nothing was kept/);
  expect(server.saved).toEqual([]);
});

it('stops when it is told to, and that is no failure', async () => {
  const server = serving();
  show();
  await start();
  await userEvent.click(await screen.findByRole('button', { name: 'Stop' }));
  await screen.findByRole('button', { name: 'Export everything' });
  expect(screen.queryByText(/broke off/)).toBeNull();
  expect(server.saved).toEqual([]);
});
