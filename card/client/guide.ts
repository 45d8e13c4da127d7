import { cardWords, formatClock, guidedMoment } from '@vendu/core';
import type { CardData } from '../src/page/cardData.js';
import { button, element, place } from './elements.js';
import { kept } from './kept.js';
import type { OwnPlan } from './ownPlan.js';
import { stayAwake } from './awake.js';
import { startVoices } from './voices.js';

/** A clock older than this was left running, ms: no filter brew takes so long. */
const LONGEST_BREW_MS = 30 * 60_000;
const TICK_MS = 200;

/** A brew from the card on this device. */
interface Guided {
  /** Unix time, ms. */
  startedMs: number;
  /** When what a step waited for was seen, s on the brew clock, in their order. */
  seenS: number[];
}

/** A clock that walks through the steps, but for what has to be seen: there it waits. It is the wall's, so a locked phone loses nothing. */
export function startGuide({ slug }: CardData, own: OwnPlan): void {
  const bar = place('guide');
  if (!bar) return;
  const brew = kept<Guided>(`card.${slug}.guided`);
  const voices = startVoices();
  const clock = element('span', {
    role: 'timer',
    'aria-label': 'Clock',
    className: 'reading text-[3.25rem] leading-none font-semibold text-time',
  });
  const next = element('span', {
    className: 'order-last w-full text-large sm:order-none sm:w-auto sm:max-w-md sm:grow',
  });
  const seen = button('It is: pour now', () => tellSeen(), true);
  const start = button('Start with the first pour', () => begin(), true);
  const reset = button('Back to zero', () => end());
  bar.className =
    'sticky top-0 z-10 flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-ink bg-sheet py-3 print:hidden';
  bar.append(
    clock,
    next,
    element('span', { className: 'ml-auto flex gap-2' }, [seen, start, reset]),
    voices.controls,
  );
  bar.hidden = false;

  let timer: ReturnType<typeof setInterval> | undefined;
  let shownIndex = -1;
  const running = () => {
    const guided = brew.read();
    return guided && Date.now() - guided.startedMs < LONGEST_BREW_MS ? guided : null;
  };

  function begin() {
    brew.write({ startedMs: Date.now(), seenS: [] });
    voices.ready();
    void stayAwake();
    run();
  }
  function end() {
    brew.write(null);
    shownIndex = -1;
    run();
  }
  function tellSeen() {
    const guided = running();
    if (!guided) return;
    brew.write({ ...guided, seenS: [...guided.seenS, (Date.now() - guided.startedMs) / 1000] });
    draw();
  }
  function run() {
    clearInterval(timer);
    draw();
    if (running()) timer = setInterval(draw, TICK_MS);
  }
  function draw() {
    const guided = running();
    if (!guided) clearInterval(timer);
    const elapsedS = guided ? Math.max(0, (Date.now() - guided.startedMs) / 1000) : null;
    const { steps } = cardWords(own.now());
    const { dueS, currentIndex, waitingIndex } = guidedMoment({
      steps,
      elapsedS,
      seenS: guided?.seenS ?? [],
    });
    const following = steps[currentIndex + 1];
    const isWaiting = waitingIndex !== null;
    clock.textContent = formatClock(elapsedS ?? 0);
    next.textContent =
      elapsedS === null || !following
        ? ''
        : isWaiting
          ? `waits: ${following.words}`
          : `${following.isAbout ? 'about in' : 'in'} ${Math.max(0, Math.ceil((dueS[currentIndex + 1] ?? following.atS) - elapsedS))} s: ${following.words}`;
    seen.hidden = !isWaiting;
    start.hidden = guided !== null;
    reset.hidden = guided === null;
    for (const [index, item] of [...(place('steps')?.children ?? [])].entries()) {
      if (index === currentIndex) item.setAttribute('aria-current', 'step');
      else item.removeAttribute('aria-current');
    }
    const current = steps[currentIndex];
    if (current && currentIndex !== shownIndex) voices.announce(current.words);
    shownIndex = currentIndex;
  }
  own.onChange(draw);
  run();
  // Back from a locked screen the clock is right at once.
  document.addEventListener('visibilitychange', run);
}
