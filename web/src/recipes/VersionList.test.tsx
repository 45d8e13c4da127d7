import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { PLAN, proof, recipe, version } from '../testing/fixtures';
import { problem, renderPart, standInServer } from '../testing/renderPart';
import { VersionList } from './VersionList';

const SIGNED = { by: 'Tamsin', at: '2026-11-21T09:00:00Z' };
const show = (view = recipe()) =>
  renderPart(<VersionList recipe={view} comparedId={null} onCompare={() => undefined} />);

describe('the versions of a recipe', () => {
  it('say only what changed from the one before', () => {
    standInServer({});
    const newer = version({ id: 12, number: 2, plan: { ...PLAN, grindUm: 650 }, note: 'finer' });
    show(recipe({ versions: [newer, version()] }));
    expect(screen.getByText('650 µm')).toBeTruthy();
    expect(screen.queryByText('94 °C')).toBeNull();
  });

  it('are accepted by a barista once brewed, and then say what is still to prove', async () => {
    const sent = standInServer({
      'PUT recipe-versions/11/acceptance': { body: recipe() },
      'GET recipe-versions/11/proof': { body: proof() },
    });
    const { unmount } = show();
    await userEvent.click(screen.getByRole('button', { name: 'Accept version 1' }));
    expect(
      sent.filter(({ method }) => method !== 'GET').map(({ method, path }) => `${method} ${path}`),
    ).toEqual(['PUT recipe-versions/11/acceptance']);
    unmount();
    show(recipe({ versions: [version({ accepted: SIGNED })] }));
    expect(await screen.findByText('To prove: another pair of hands.')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Prove version 1' }).getAttribute('href')).toBe(
      '/recipes/7/proof/11',
    );
  });

  it('are not accepted unbrewed', () => {
    standInServer({});
    show(recipe({ versions: [version({ brewCount: 0 })] }));
    expect(screen.queryByRole('button', { name: /Accept/ })).toBeNull();
  });

  it('are signed off and published by a lead, whose words survive a refusal', async () => {
    standInServer({ 'POST publications': problem('conflict', 'Not signed off.') }, 'lead');
    const view = recipe({ versions: [version({ accepted: SIGNED, signedOff: SIGNED })] });
    const { unmount } = show(view);
    await userEvent.type(await screen.findByLabelText('Note to the customer'), 'Enjoy it warm.');
    await userEvent.click(screen.getByRole('button', { name: 'Publish version 1' }));
    expect(await screen.findByText('Not signed off.')).toBeTruthy();
    unmount();
    show(view);
    expect(await screen.findByLabelText('Note to the customer')).toHaveProperty('value', 'Enjoy it warm.');
  });

  it('show their public address, and only a lead can withdraw it', async () => {
    const publication = {
      id: 5,
      slug: 'ridge-cone',
      versionNumber: 1,
      edition: null,
      introduction: '',
      publishedBy: 'Ilse',
      publishedAt: SIGNED.at,
      withdrawnAt: null,
      cardChanges: [],
    };
    const view = recipe({
      versions: [version({ accepted: SIGNED, signedOff: SIGNED })],
      publications: [publication],
    });
    standInServer({});
    const { unmount } = show(view);
    expect(screen.getByRole('link', { name: '/r/ridge-cone' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'withdraw' })).toBeNull();
    unmount();
    const sent = standInServer({ 'DELETE publications/5': { body: view } }, 'lead');
    show(view);
    await userEvent.click(await screen.findByRole('button', { name: 'withdraw' }));
    expect(sent.filter(({ method }) => method !== 'GET')).toEqual([
      { method: 'DELETE', path: 'publications/5', body: null },
    ]);
  });
});
