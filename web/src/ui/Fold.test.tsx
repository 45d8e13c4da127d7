import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Fold } from './Fold';

const fold = (isWrong: boolean) => (
  <Fold summary="More" isWrong={isWrong}>
    <p>what is folded away</p>
  </Fold>
);
const isOpen = () => screen.getByRole('group').hasAttribute('open');

describe('what is folded away', () => {
  it('opens where something in it is wrong, and stays open when that is mended', () => {
    const { rerender } = render(fold(false));
    expect(isOpen()).toBe(false);
    rerender(fold(true));
    expect(isOpen()).toBe(true);
    rerender(fold(false));
    expect(isOpen()).toBe(true);
  });
});
