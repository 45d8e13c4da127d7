import { screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { renderPart } from '../testing/renderPart';
import { Unavailable } from './Unavailable';

const trouble = (kind: string) => ({ kind, detail: 'Why.', errors: [] });
const shown = (kind: string) => renderPart(<Unavailable trouble={trouble(kind)} onRetry={vi.fn()} />);

it('a page that is refused for want of a code leads to where one is set up', () => {
  shown('code-due');
  const link = screen.getByRole('link', { name: 'Set up a code' });
  expect(link.getAttribute('href')).toBe('/people');
  expect(screen.queryByRole('button', { name: 'Try again' })).toBeNull();
});

it('others are asked for again, and what is not there leads to the lots', () => {
  const refused = shown('not-allowed');
  expect(screen.getByRole('button', { name: 'Try again' })).toBeDefined();
  expect(screen.queryByRole('link')).toBeNull();
  refused.unmount();
  shown('not-found');
  expect(screen.getByRole('link', { name: 'All lots' }).getAttribute('href')).toBe('/lots');
});
