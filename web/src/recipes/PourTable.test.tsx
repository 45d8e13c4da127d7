import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect, useState } from 'react';
import { describe, expect, it } from 'vitest';
import { planWaterG, runningTotalsG, type BrewPlan } from '@vendu/core';
import { PLAN } from '../testing/fixtures';
import { PlanFigures } from './PlanFigures';
import { PourTable } from './PourTable';

let latest: BrewPlan = PLAN;

const nothing = () => undefined;

function Editor() {
  const [plan, setPlan] = useState(PLAN);
  useEffect(() => {
    latest = plan;
  }, [plan]);
  function take(next: BrewPlan) {
    setPlan(next);
    return undefined;
  }
  return (
    <>
      <PlanFigures
        plan={plan}
        onOffer={take}
        faults={{}}
        settingHint="Grinder at 5"
        locks={[]}
        onLock={nothing}
      />
      <PourTable
        roomC={21}
        plan={plan}
        onOffer={take}
        selected={null}
        onSelect={nothing}
        faults={{ 'pours.2.startS': 'Too early.' }}
      />
    </>
  );
}

async function type(label: string, text: string) {
  const field = screen.getByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, `${text}{Enter}`);
}

describe('the table of pours', () => {
  it('shows totals and amounts of one truth: a total moves its neighbour, the water stays', async () => {
    render(<Editor />);
    await type('Pour 2, running total', '150');
    expect(screen.getByLabelText('Pour 2, amount')).toHaveProperty('value', '110');
    expect(screen.getByLabelText('Pour 3, amount')).toHaveProperty('value', '100');
    expect(planWaterG(latest)).toBe(250);
  });

  it('takes a bloom as a multiple of the dose', async () => {
    render(<Editor />);
    await type('Bloom, amount', '3x');
    expect(runningTotalsG(latest)).toEqual([48, 140, 250]);
    expect(screen.getByText('3.0x dose')).toBeTruthy();
  });

  it('moves the water with the ratio and keeps the bloom', async () => {
    render(<Editor />);
    await type('Ratio', '1:17');
    expect(screen.getByLabelText('Water')).toHaveProperty('value', '272');
    expect(latest.pours[0]?.amountG).toBe(40);
    expect(planWaterG(latest)).toBe(272);
  });

  it('refuses what would leave the next pour empty, and keeps it typed', async () => {
    render(<Editor />);
    await type('Pour 2, amount', '400');
    expect(screen.getByText(/leaves nothing for pour 3/)).toBeTruthy();
    expect(screen.getByLabelText('Pour 2, amount')).toHaveProperty('value', '400');
    expect(latest).toEqual(PLAN);
  });

  it('shows a fault of the plan at its field', () => {
    render(<Editor />);
    expect(screen.getByText('Too early.')).toBeTruthy();
    expect(screen.getByLabelText('Pour 3, start').getAttribute('aria-invalid')).toBe('true');
  });

  it('splits and removes pours without losing water', async () => {
    render(<Editor />);
    await userEvent.click(screen.getByRole('button', { name: 'Split the last pour' }));
    expect(runningTotalsG(latest)).toEqual([40, 140, 195, 250]);
    await userEvent.click(screen.getByRole('button', { name: 'Remove Pour 2' }));
    expect(runningTotalsG(latest)).toEqual([40, 195, 250]);
    await userEvent.selectOptions(screen.getByLabelText('Bloom, agitation after it'), 'stir');
    expect(latest.pours[0]?.agitation).toBe('stir');
  });
});
