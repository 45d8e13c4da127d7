import { useState } from 'react';
import { benchSteps } from '@vendu/core';
import { Link } from 'react-router';
import { useDraft } from '../device/draft';
import { useAppDispatch, useAppSelector } from '../state/hooks';
import { chooseTheme, useTheme } from '../device/theme';
import { useShortcut } from '../ui/useShortcut';
import { BenchButton } from './BenchButton';
import { BenchFooter } from './BenchFooter';
import { BenchPanel } from './BenchPanel';
import { soFar, type BenchBrew } from './benchBrew';
import { brewActivated, selectActiveKey } from './benchSlice';
import { useAbandon } from './useAbandon';

/** The bench: one brew on the whole sheet, or two side by side with a clock each. */
export function Bench({ brews }: { brews: readonly BenchBrew[] }) {
  const dispatch = useAppDispatch();
  const activeKey = useAppSelector(selectActiveKey);
  const active = brews.find(({ key }) => key === activeKey) ?? brews[0];
  const { isDark } = useTheme();
  const switchTheme = () => chooseTheme(isDark ? 'light' : 'dark');
  const [isMuted, setMuted] = useDraft('bench.muted', false);
  const [announced, setAnnounced] = useState('');
  const activate = (index: number) => {
    const brew = brews[index];
    if (brew) dispatch(brewActivated({ key: brew.key }));
  };
  useShortcut('d', switchTheme);
  useShortcut('m', () => setMuted(!isMuted));
  useShortcut('1', brews.length > 1 ? () => activate(0) : null);
  useShortcut('2', brews.length > 1 ? () => activate(1) : null);
  // Which of the two it is nobody has to know with a kettle in each hand.
  useShortcut(
    'o',
    brews.length > 1 ? () => activate(brews.findIndex(({ key }) => key !== active?.key)) : null,
  );
  if (!active) return null;
  const isCompact = brews.length > 1;
  // Once it is drained, abandoning stands beside saving.
  const marked = soFar(active).run.marks.length;
  const isRunning = marked > 0 && marked < benchSteps(active.plan).length;
  return (
    <main data-bench className="flex min-h-dvh flex-col bg-sheet text-ink">
      <header className="flex flex-wrap items-center gap-x-2 border-b border-ink px-4 py-1 text-small sm:px-6">
        <Link to={`/recipes/${active.recipeId}`} className="whitespace-nowrap underline underline-offset-3">
          Leave (timer keeps running)
        </Link>
        {isRunning && <Abandon key={active.key} brew={active} isOneOfTwo={isCompact} />}
        <span className="ml-auto flex min-w-0 flex-wrap gap-2">
          {isCompact &&
            brews.map(({ key, lotName, brewerName }, index) => (
              <button
                key={key}
                type="button"
                aria-pressed={key === active.key}
                onClick={() => activate(index)}
                className="min-h-12 rounded-edge border border-edge px-4 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-sheet"
              >
                keys for {lotName}, {brewerName} ({index + 1})
              </button>
            ))}
          <BenchButton shortcut="M" onClick={() => setMuted(!isMuted)}>
            {isMuted ? 'Unmute' : 'Mute'}
          </BenchButton>
          <BenchButton shortcut="D" onClick={switchTheme}>
            {isDark ? 'Light' : 'Dark'}
          </BenchButton>
        </span>
      </header>
      <div className={isCompact ? 'grid grow grid-cols-1 md:grid-cols-2' : 'flex grow'}>
        {brews.map((brew) => (
          <BenchPanel
            key={brew.key}
            brew={brew}
            isActive={brew.key === active.key}
            isCompact={isCompact}
            isMuted={isMuted}
          />
        ))}
      </div>
      <BenchFooter key={active.key} brew={active} onDone={setAnnounced} />
      <p role="status" className="sr-only">
        {announced}
      </p>
    </main>
  );
}

function Abandon({ brew, isOneOfTwo }: { brew: BenchBrew; isOneOfTwo: boolean }) {
  const abandon = useAbandon(brew);
  return (
    <button
      type="button"
      onClick={abandon}
      className="px-3 text-quiet underline underline-offset-3 hover:text-ink"
    >
      {isOneOfTwo ? `Abandon ${brew.lotName}` : 'Abandon this brew'}
    </button>
  );
}
