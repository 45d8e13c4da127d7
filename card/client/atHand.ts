/** Kept beside the card so that it opens without a network. */
const CACHE = 'cards';

/** Keeps this card, its style, type and program on the device, and has a worker bring them when the network is away. */
export async function keepAtHand(): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  try {
    await navigator.serviceWorker.register('/r/sw.js', { scope: '/r/', type: 'module' });
    const cache = await caches.open(CACHE);
    // A cache refuses to take the same twice.
    await cache.addAll([...new Set([location.pathname, ...brought()])]);
  } catch {
    // Without it the card is read as any page.
  }
}

function brought(): string[] {
  const links = [
    ...document.querySelectorAll<HTMLLinkElement>('link[rel=stylesheet], link[rel=preload], link[rel=icon]'),
  ];
  const scripts = [...document.querySelectorAll<HTMLScriptElement>('script[src]')];
  const pictures = [...document.querySelectorAll<HTMLImageElement>('img[src]')];
  return [
    ...links.map(({ href }) => href),
    ...scripts.map(({ src }) => src),
    ...pictures.map(({ src }) => src),
  ];
}
