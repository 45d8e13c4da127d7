import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import { USUAL_CHECKLIST, type Role } from '@vendu/core';
import type { ProofView } from '@vendu/contract';
import { proof, recipe, version } from '../testing/fixtures';
import { problem, renderPart, standInServer, type Answer } from '../testing/renderPart';
import { ProofPage } from './ProofPage';

const SIGNED = { by: 'Ilse', at: '2026-11-21T09:00:00Z' };
const PROVEN = proof({
  isProven: true,
  checks: proof().checks.map((check) => ({ ...check, state: 'met' as const })),
});

function show(shown: ProofView, role: Role, answers: Record<string, Answer> = {}) {
  const sent = standInServer(
    {
      'GET recipes/7': { body: recipe({ versions: [version({ accepted: SIGNED })] }) },
      'GET kit': { body: { house: { checklist: USUAL_CHECKLIST, revision: 3 } } },
      'GET recipe-versions/11/proof': { body: shown },
      ...answers,
    },
    role,
  );
  const rendered = renderPart(
    <Routes>
      <Route path="/recipes/:recipeId/proof/:versionId" element={<ProofPage />} />
    </Routes>,
    '/recipes/7/proof/11',
  );
  return { ...rendered, written: () => sent.filter(({ method }) => method !== 'GET') };
}

describe('the page of a proof', () => {
  it('says what is missing and what a check rests on; a barista waives nothing', async () => {
    show(proof(), 'barista');
    expect(await screen.findByText('1 of 2 hold. Missing: another pair of hands.')).toBeTruthy();
    expect(screen.getByText(/Only Tamsin has brewed it/)).toBeTruthy();
    const [repeats] = screen.getAllByRole('listitem');
    expect(within(repeats!).getByRole('link', { name: 'brew 2' }).getAttribute('href')).toBe('/brews/22');
    expect(screen.queryByRole('button', { name: /^Waive/ })).toBeNull();
    expect(screen.queryByRole('button', { name: /Sign off/ })).toBeNull();
  });

  it('lets a lead waive a check with a reason, which a refusal does not lose', async () => {
    const { written, unmount } = show(proof(), 'lead', {
      'PUT recipe-versions/11/waivers/second-hands': problem('conflict', 'The lot is being changed.'),
    });
    await userEvent.click(await screen.findByRole('button', { name: 'Waive: another pair of hands' }));
    await userEvent.type(screen.getByLabelText('Why it may pass'), 'Joss is away{Enter}');
    expect(await screen.findByText('The lot is being changed.')).toBeTruthy();
    expect(written()).toEqual([
      {
        method: 'PUT',
        path: 'recipe-versions/11/waivers/second-hands',
        body: { reason: 'Joss is away' },
      },
    ]);
    unmount();
    show(proof(), 'lead');
    expect(await screen.findByLabelText('Why it may pass')).toHaveProperty('value', 'Joss is away');
  });

  it('takes a waiver back with its reason at hand for another', async () => {
    const waiver = { check: 'second-hands' as const, reason: 'Joss is away' };
    const waived = proof({
      checks: proof().checks.map((check) =>
        check.check === 'second-hands'
          ? { ...check, state: 'waived' as const, waiver, waived: SIGNED }
          : check,
      ),
    });
    const { written } = show(waived, 'lead', {
      'DELETE recipe-versions/11/waivers/second-hands': { body: proof() },
      'PUT recipe-versions/11/waivers/second-hands': { body: waived },
    });
    await userEvent.click(await screen.findByRole('button', { name: 'take back' }));
    expect(await screen.findByRole('button', { name: 'Waive: another pair of hands' })).toBeTruthy();
    expect(written()).toEqual([
      { method: 'DELETE', path: 'recipe-versions/11/waivers/second-hands', body: null },
    ]);
  });

  it('asks a lead who made all the brews why he signs it himself', async () => {
    const { written } = show(PROVEN, 'lead', {
      'PUT recipe-versions/11/sign-off': problem('invalid-input', 'Say why.', [
        { field: 'reason', message: 'You made all its brews yourself.' },
      ]),
    });
    await userEvent.click(await screen.findByRole('button', { name: 'Sign off version 1' }));
    expect(await screen.findByText('You made all its brews yourself.')).toBeTruthy();
    await userEvent.type(screen.getByLabelText(/why you sign it yourself/), 'Nobody else is in.{Enter}');
    expect(written().map(({ body }) => body)).toEqual([{ reason: '' }, { reason: 'Nobody else is in.' }]);
  });

  it('asks nothing more where somebody else brewed it', async () => {
    show({ ...PROVEN, isOneHand: false, hands: ['Tamsin', 'Joss'] }, 'lead');
    expect(await screen.findByRole('button', { name: 'Sign off version 1' })).toBeTruthy();
    expect(screen.queryByLabelText(/why you sign it yourself/)).toBeNull();
  });
});
