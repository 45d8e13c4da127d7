import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { QuantityField } from './QuantityField';
import { CELSIUS, CLOCK, GRAMS, RATIO, inRange } from './quantities';

describe('a quantity field', () => {
  it.each([
    ['a time', CLOCK, '1:40', 100, '1:40'],
    ['a time in seconds', CLOCK, '95', 95, '1:35'],
    ['Fahrenheit', CELSIUS, '203f', 95, '95'],
    ['a ratio', RATIO, '1:15,5', 15.5, '1:15.5'],
    ['grams with a comma', GRAMS, '18,5 g', 18.5, '18.5'],
  ])('takes %s the way it is spoken, on Enter', async (_, quantity, typed, value, shown) => {
    const onCommit = vi.fn();
    render(<QuantityField label="Figure" quantity={quantity} value={null} onCommit={onCommit} />);
    await userEvent.type(screen.getByLabelText('Figure'), `${typed}{Enter}`);
    expect(onCommit).toHaveBeenCalledExactlyOnceWith(value);
    expect(screen.getByLabelText('Figure')).toHaveProperty('value', shown);
  });

  it('keeps what cannot be read, says why, and takes nothing', async () => {
    const onCommit = vi.fn();
    render(<QuantityField label="Dose" quantity={GRAMS} value={16} onCommit={onCommit} />);
    const field = screen.getByLabelText('Dose');
    await userEvent.clear(field);
    await userEvent.type(field, 'about 16{Tab}');
    expect(field).toHaveProperty('value', 'about 16');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByRole('alert').textContent).toBe(
      '“about 16” is not a mass; write 250 g, 2.4 kg, 5 lb or 12 oz.',
    );
    expect(onCommit).not.toHaveBeenCalled();
  });

  it.each([
    ['comes', 'about 16', false],
    ['goes', '16.5', true],
  ])(
    'a message that %s at a press elsewhere moves nothing until the click is done',
    async (_, typed, was) => {
      render(
        <>
          <QuantityField label="Dose" quantity={GRAMS} value={16} onCommit={() => undefined} />
          <button type="button">Add</button>
        </>,
      );
      const field = screen.getByLabelText('Dose');
      if (was) await userEvent.type(field, 'x{Enter}');
      await userEvent.clear(field);
      await userEvent.type(field, typed);
      const mouse = userEvent.setup();
      await mouse.pointer({ keys: '[MouseLeft>]', target: screen.getByRole('button') });
      expect(screen.queryByRole('alert') !== null).toBe(was);
      await mouse.pointer({ keys: '[/MouseLeft]' });
      await waitFor(() => expect(screen.queryByRole('alert') === null).toBe(was));
    },
  );

  it('keeps a figure that is refused, with the answer under it', async () => {
    render(<QuantityField label="Total" quantity={GRAMS} value={100} onOffer={() => 'Too much.'} />);
    const field = screen.getByLabelText('Total');
    await userEvent.clear(field);
    await userEvent.type(field, '900{Enter}');
    expect(screen.getByRole('alert').textContent).toBe('Too much.');
    expect(field).toHaveProperty('value', '900');
  });

  it('gives the keys back on Enter where it is asked to, but not while something is wrong', async () => {
    render(
      <QuantityField label="Total" quantity={GRAMS} value={null} onCommit={() => undefined} leavesOnEnter />,
    );
    const field = screen.getByLabelText('Total');
    await userEvent.type(field, 'about{Enter}');
    expect(document.activeElement).toBe(field);
    await userEvent.clear(field);
    await userEvent.type(field, '251{Enter}');
    expect(document.activeElement).toBe(document.body);
  });

  it('goes back on Escape and follows a value that changes elsewhere', async () => {
    const { rerender } = render(
      <QuantityField label="Dose" quantity={GRAMS} value={16} onCommit={() => undefined} />,
    );
    const field = screen.getByLabelText('Dose');
    await userEvent.type(field, '9{Escape}');
    expect(field).toHaveProperty('value', '16');
    rerender(<QuantityField label="Dose" quantity={GRAMS} value={18} onCommit={() => undefined} />);
    expect(field).toHaveProperty('value', '18');
  });

  it('does not take the field away from someone who is typing in it', async () => {
    const { rerender } = render(
      <QuantityField label="Dose" quantity={GRAMS} value={16} onCommit={() => undefined} />,
    );
    const field = screen.getByLabelText('Dose');
    await userEvent.clear(field);
    await userEvent.type(field, '17');
    rerender(<QuantityField label="Dose" quantity={GRAMS} value={20} onCommit={() => undefined} />);
    expect(field).toHaveProperty('value', '17');
  });

  it('tells empty from unreadable where a figure may be unknown', async () => {
    const onClear = vi.fn();
    render(
      <QuantityField
        label="Beverage"
        quantity={GRAMS}
        value={200}
        onCommit={() => undefined}
        onClear={onClear}
      />,
    );
    const field = screen.getByLabelText('Beverage');
    await userEvent.clear(field);
    await userEvent.tab();
    expect(onClear).toHaveBeenCalledOnce();
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('names field and range when a figure leaves its range', () => {
    const dose = inRange(GRAMS, { label: 'Dose', min: 5, max: 120 });
    expect(dose.parse('0')).toMatchObject({ ok: false, message: 'Dose must be 5 to 120 g.' });
    expect(dose.parse('5')).toEqual({ ok: true, value: 5 });
  });
});
