import { describe, expect, it } from 'vitest';
import { grinderSettingFor } from './grinderSetting.js';

const POINTS = [
  { setting: 30, grindUm: 1000 },
  { setting: 10, grindUm: 500 },
  { setting: 20, grindUm: 700 },
];

describe('the setting of a grinder for a wanted size', () => {
  it.each([
    [500, 10],
    [600, 15],
    [700, 20],
    [850, 25],
    [1000, 30],
  ])('%i µm is setting %d (computed: straight lines between the points)', (grindUm, setting) => {
    expect(grinderSettingFor({ points: POINTS, grindUm })).toEqual({ ok: true, value: setting });
  });

  it.each([
    // Computed: 604 µm lies at 15.2 and 609 µm at 15.45.
    [604, 1, 15],
    [609, 1, 15],
    [604, 0.1, 15.2],
    [609, 0.25, 15.5],
    [602, 0.1, 15.1],
  ])('%i µm on a scale of steps of %d is setting %d', (grindUm, settingStep, setting) => {
    expect(grinderSettingFor({ points: POINTS, grindUm, settingStep })).toEqual({ ok: true, value: setting });
  });

  it('does not guess past the measured span, and names the nearest point', () => {
    expect(grinderSettingFor({ points: POINTS, grindUm: 450 })).toMatchObject({
      reason: 'finer-than-reach',
      nearest: { setting: 10, grindUm: 500 },
    });
    expect(grinderSettingFor({ points: POINTS, grindUm: 1100 })).toMatchObject({
      reason: 'coarser-than-reach',
      nearest: { setting: 30, grindUm: 1000 },
    });
  });

  it('refuses points that cannot be a scale', () => {
    expect(grinderSettingFor({ points: POINTS.slice(0, 1), grindUm: 700 })).toMatchObject({
      reason: 'too-few-points',
    });
    expect(
      grinderSettingFor({ points: [...POINTS, { setting: 25, grindUm: 690 }], grindUm: 700 }),
    ).toMatchObject({ reason: 'not-monotone' });
  });
});
