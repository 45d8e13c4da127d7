import type {
  PaperSeating,
  Agitation,
  AgitationCondition,
  AimSource,
  BrewerShape,
  DueAction,
  Intensity,
  LotSign,
  LotStage,
  FeederKind,
  PourPattern,
  Role,
  PourTrigger,
  Ribs,
  RoastLevel,
  TastingStage,
  Verdict,
  Vessel,
} from '@vendu/core';
import type { CodeAskedOf } from '@vendu/contract';

/** How the closed lists read on screen. */
export const ROAST_WORDS: Record<RoastLevel, string> = {
  light: 'Light',
  'medium-light': 'Medium light',
  medium: 'Medium',
  'medium-dark': 'Medium dark',
};

export const STAGE_WORDS: Record<LotStage, string> = {
  arrived: 'Arrived',
  'first-brews': 'First brews',
  'dialling-in': 'Dialling in',
  proving: 'Proving',
  'signed-off': 'Signed off',
  published: 'Published',
  watched: 'Watched',
};

export const VERDICT_WORDS: Record<Verdict, string> = {
  'on-aim': 'On aim',
  close: 'Close',
  'off-aim': 'Off aim',
};

export const AIM_SOURCE_WORDS: Record<AimSource, string> = {
  recipe: 'of this recipe',
  position: 'by the house style',
  house: 'house window',
};

export const SHAPE_WORDS: Record<BrewerShape, string> = {
  cone: 'cone',
  'flat-bottom': 'flat bottom',
  carafe: 'carafe',
};

export const FEEDER_WORDS: Record<FeederKind, string> = {
  regulator: 'regulator',
  'shower-plate': 'shower plate',
};

export const RIBS_WORDS: Record<Ribs, string> = {
  none: 'none',
  'part-way': 'part way',
  full: 'to the bottom',
};

export const PATTERN_WORDS: Record<PourPattern, string> = {
  centre: 'in the centre',
  circle: 'circles',
  spiral: 'spirals',
  'spiral-out': 'spiral outwards',
  'spiral-in': 'spiral inwards',
  wall: 'along the wall',
  pulses: 'in pulses',
};

export const AGITATION_NAMES: Record<Agitation, string> = {
  none: 'nothing',
  swirl: 'swirl',
  stir: 'stir',
  'wall-stir': 'wall stir',
  needle: 'needle',
};

export const CONDITION_NAMES: Record<AgitationCondition, string> = {
  'cup-asks': 'the cup asks for it',
  'roast-old': 'the roast is old',
  'bed-uneven': 'the bed is uneven',
};

export const TRIGGER_WORDS: Record<PourTrigger, string> = {
  through: 'when all is through',
  'bed-shows': 'when the bed shows',
  level: 'when it has sunk to',
};

export const INTENSITY_WORDS: Record<Intensity, string> = {
  acidity: 'Acidity',
  sweetness: 'Sweetness',
  body: 'Body',
  bitterness: 'Bitterness',
  dryness: 'Dryness',
  clarity: 'Clarity',
  aftertaste: 'Aftertaste',
};

export const DUE_WORDS: Record<DueAction, string> = {
  roast: 'roast due',
  'first-brew': 'first brew due',
  'next-brew': 'next brew due',
  'sign-off': 'proof and sign-off due',
  publish: 'publication due',
  recheck: 'recheck due',
  nothing: 'nothing due',
};

export const SIGN_WORDS: Record<LotSign, string> = {
  delicate: 'Delicate, tea-like',
  'prone-to-dryness': 'Prone to dryness',
  'many-fines': 'Much chaff, many fines',
  'no-bloom-rise': 'Bloom does not rise',
};

/** What keeps a paper in place. */
export const SEATING_WORDS: Record<PaperSeating, string> = { spoon: 'a spoon', tool: 'its tool' };

export const ROLE_WORDS: Record<Role, string> = {
  taster: 'guest taster',
  barista: 'barista',
  lead: 'lead',
  admin: 'admin',
};

export const CODE_ASKED_WORDS: Record<CodeAskedOf, string> = {
  nobody: 'Nobody',
  leads: 'Leads and admins',
  makers: 'Everybody but guest tasters',
};

export const TASTING_STAGE_WORDS: Record<TastingStage, string> = { hot: 'Hot', warm: 'Warm', cool: 'Cool' };

export const VESSEL_WORDS: Record<Vessel, string> = {
  cup: 'cup',
  'heavy-cup': 'heavy cup',
  glass: 'glass',
  'wine-glass': 'wine glass',
  'two-sided-cup': 'two-sided cup',
};
