/** An element with its text and classes; what a page of this size needs instead of a library. */
export function element<K extends keyof HTMLElementTagNameMap>(
  tag: K,
  {
    text,
    className,
    ...attributes
  }: { text?: string; className?: string } & Record<`aria-${string}` | `data-${string}`, string> & {
      role?: string;
      type?: string;
      id?: string;
      href?: string;
    } = {},
  children: readonly (Node | string)[] = [],
): HTMLElementTagNameMap[K] {
  const made = document.createElement(tag);
  if (className !== undefined) made.className = className;
  for (const [name, value] of Object.entries(attributes)) made.setAttribute(name, value);
  if (text !== undefined) made.textContent = text;
  made.append(...children);
  return made;
}

const BUTTON =
  'inline-flex h-12 items-center justify-center rounded-edge border px-5 font-semibold whitespace-nowrap disabled:opacity-50';

export function button(words: string, onPress: () => void, isMain = false): HTMLButtonElement {
  const made = element('button', {
    type: 'button',
    text: words,
    className: `${BUTTON} ${isMain ? 'border-ink bg-ink text-sheet' : 'border-edge bg-raised text-ink hover:border-ink'}`,
  });
  made.addEventListener('click', onPress);
  return made;
}

/** The place of the page that a part of its program fills; `null` where this card has none. */
export function place(name: string): HTMLElement | null {
  return document.querySelector<HTMLElement>(`[data-${name}]`);
}
