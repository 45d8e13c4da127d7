import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

/** Chooses by the keyboard: a list that lies over the page opens for no mouse where nothing is laid out. */
export async function pick(label: string, option: RegExp): Promise<void> {
  (await screen.findByLabelText(label)).focus();
  await userEvent.keyboard('{Enter}');
  await userEvent.click(await screen.findByRole('option', { name: option }));
}
