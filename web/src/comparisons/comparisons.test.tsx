import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it } from 'vitest';
import type { BlindTestView, ComparisonArmView, ComparisonView, PlaceView } from '@vendu/contract';
import { PLAN } from '../testing/fixtures';
import { problem, renderPart, standInServer } from '../testing/renderPart';
import { BlindTests } from './BlindTests';
import { BrewingOrder } from './BrewingOrder';
import { CupRanks } from './CupRanks';
import { StageForm } from './StageForm';
import { Tournament } from './Tournament';

function arm(place: number, over: Partial<ComparisonArmView> = {}): ComparisonArmView {
  return {
    id: 20 + place,
    lotId: 1,
    lotName: 'Mutwenzi',
    brewerName: ['Tarn cone', 'Fen flat', 'Rill carafe'][place] ?? '',
    paperName: 'Fine',
    waterName: 'Tap',
    kettleName: 'Gooseneck',
    grinderName: 'House',
    recipeId: 5,
    recipeVersionId: 40 + place,
    versionNumber: place + 1,
    grinderSetting: 5,
    plan: PLAN,
    brews: [],
    ...over,
  };
}

function comparison(over: Partial<ComparisonView> = {}): ComparisonView {
  return {
    id: 7,
    revision: 0,
    question: 'Which brewer?',
    asks: ['brewer'],
    matchedBy: 'dial',
    rounds: 2,
    made: { by: 'Tamsin', at: '2026-11-20T09:00:00Z' },
    arms: [arm(0), arm(1)],
    tests: [],
    phoneOrigin: null,
    ...over,
  };
}

const brewed = (id: number) => ({
  id,
  number: id,
  brewedBy: 'Tamsin',
  startedAtMs: id,
  roastAgeDays: 9,
  doseG: 15,
  drainS: null,
  tdsPercent: null,
  yieldPercent: null,
});

/** Two arms that met, the first chosen so many times and the second. */
function met(arms: [number, number], votes: [number, number]): BlindTestView {
  return {
    id: arms[0] * 10 + arms[1],
    method: 'paired',
    arms,
    asksFor: '',
    stages: ['hot'],
    alpha: 0.05,
    made: { by: 'Tamsin', at: '2026-11-20T09:00:00Z' },
    endsAt: '2026-11-20T12:00:00Z',
    isOver: true,
    opened: { by: 'Ilse', at: '2026-11-20T12:00:00Z' },
    pouredBy: [],
    looks: [],
    places: [],
    results: [
      {
        stage: 'hot',
        answers: votes[0] + votes[1],
        pValue: 1,
        adjustedPValue: 1,
        isFound: false,
        isByLooks: false,
        powerAtHalf: 0,
        figures: { kind: 'preferred', votes, fewestNeeded: null, share: { value: 0.5, low: 0, high: 1 } },
      },
    ],
    key: [],
  };
}

describe('the order of brewing', () => {
  it('goes A, B, B, A, and offers the next with another beside it', () => {
    renderPart(<BrewingOrder comparison={comparison()} />);
    const turns = within(screen.getByRole('list', { name: 'Brewing order' })).getAllByRole('listitem');
    expect(turns.map(({ textContent }) => textContent.charAt(0))).toEqual(['A', 'B', 'B', 'A']);
    expect(screen.getByRole('link', { name: 'Brew A' }).getAttribute('href')).toBe(
      '/bench/40?recipe=5&arm=20&comparison=7&letter=A',
    );
    expect(screen.getByRole('link', { name: 'Brew B beside it' })).toBeTruthy();
  });

  it('ends when each was brewed as often as was asked', () => {
    const arms = [arm(0, { brews: [brewed(1), brewed(4)] }), arm(1, { brews: [brewed(2), brewed(3)] })];
    renderPart(<BrewingOrder comparison={comparison({ arms })} />);
    expect(screen.getByText('All brewed.')).toBeTruthy();
  });
});

it('cups are ranked from the best on, and taken back by another tap', async () => {
  function Ranked() {
    const [ranked, setRanked] = useState<string[]>([]);
    return <CupRanks codes={['417', '283', '905']} ranked={ranked} onChange={setRanked} />;
  }
  renderPart(<Ranked />);
  for (const code of ['905', '417', '283']) await userEvent.click(screen.getByRole('button', { name: code }));
  await userEvent.click(screen.getByRole('button', { name: '417, place 2' }));
  expect(screen.getByRole('button', { name: '283, place 2' })).toBeTruthy();
  expect(screen.getByRole('button', { name: '417' }).getAttribute('aria-pressed')).toBe('false');
});

describe('a taster’s answer', () => {
  const place: PlaceView = {
    number: 3,
    method: 'triangle',
    asksFor: '',
    stages: ['hot', 'cool'],
    answered: [],
    codes: ['417', '283', '905'],
    endsAt: '2099-01-01T00:00:00Z',
    isOver: false,
    additions: [],
  };
  const device = '0'.repeat(32);

  it('waits until a cup is chosen, and is sent whole', async () => {
    const sent = standInServer({ 'PUT blind/s1/answers/hot': { body: { ...place, answered: ['hot'] } } });
    renderPart(<StageForm place={place} stage="hot" secret="s1" device={device} />);
    const send = screen.getByRole<HTMLButtonElement>('button', { name: 'Send' });
    expect(send.disabled).toBe(true);
    await userEvent.click(screen.getByRole('radio', { name: '283' }));
    await userEvent.type(screen.getByLabelText('What you taste, if you like'), 'sharper');
    await userEvent.click(send);
    expect(sent.find(({ method }) => method === 'PUT')?.body).toEqual({
      device,
      chosen: '283',
      note: 'sharper',
    });
  });

  it('that is refused says why, and loses nothing', async () => {
    standInServer({
      'PUT blind/s2/answers/cool': problem(
        'conflict',
        'This test has ended: your answer came too late and does not count.',
      ),
    });
    renderPart(
      <StageForm place={{ ...place, answered: ['hot'] }} stage="cool" secret="s2" device={device} />,
    );
    expect(screen.getByText('Wait until the cups are cool, then taste them again.')).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: '417' }));
    await userEvent.click(screen.getByRole('button', { name: 'Send' }));
    expect(await screen.findByText(/came too late/)).toBeTruthy();
    expect(screen.getByRole<HTMLInputElement>('radio', { name: '417' }).checked).toBe(true);
  });
});

describe('arms that met by pairs', () => {
  const arms = [arm(0), arm(1), arm(2)];

  it('stand in an order', () => {
    const tests = [met([0, 1], [2, 6]), met([1, 2], [5, 3]), met([0, 2], [3, 5])];
    renderPart(<Tournament comparison={comparison({ arms, tests })} />);
    const rows = within(screen.getByRole('table', { name: /^Hot/ })).getAllByRole('row');
    expect(rows.map(({ textContent }) => textContent.charAt(0))).toEqual(['B', 'C', 'A']);
  });

  it('need more pairs where one never lost', () => {
    const tests = [met([0, 1], [0, 6]), met([1, 2], [6, 0])];
    renderPart(<Tournament comparison={comparison({ arms, tests })} />);
    expect(screen.getByText(/more pairs are needed/)).toBeTruthy();
  });
});

it('only a lead can open coded cups', () => {
  const closed = { ...met([0, 1], [1, 1]), opened: null, results: null, key: null };
  const shown = comparison({ tests: [closed] });
  const { unmount } = renderPart(<BlindTests comparison={shown} faults={[]} isLead={false} />);
  expect(screen.queryByRole('button', { name: 'Open' })).toBeNull();
  unmount();
  renderPart(<BlindTests comparison={shown} faults={[]} isLead />);
  expect(screen.getByRole('button', { name: 'Open' })).toBeTruthy();
});
