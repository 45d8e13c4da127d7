import type { ModelCtor } from 'sequelize-typescript';
import { BrewModel } from './brews/brew.model.js';
import { CorrectionModel } from './brews/correction.model.js';
import { ReadingModel } from './brews/reading.model.js';
import { TastingLookModel } from './brews/tasting-look.model.js';
import { TastingModel } from './brews/tasting.model.js';
import { EditModel } from './edits/edit.model.js';
import { BrewerModel } from './kit/brewer.model.js';
import { GrinderModel } from './kit/grinder.model.js';
import { HouseModel } from './kit/house.model.js';
import { InstrumentModel } from './kit/instrument.model.js';
import { FeederModel } from './kit/feeder.model.js';
import { KettleModel } from './kit/kettle.model.js';
import { PaperModel } from './kit/paper.model.js';
import { SieveModel } from './kit/sieve.model.js';
import { StatedSettingModel } from './kit/stated-setting.model.js';
import { WaterModel } from './kit/water.model.js';
import { ZeroCheckModel } from './kit/zero-check.model.js';
import { LotModel } from './lots/lot.model.js';
import { StockWeighingModel } from './lots/stock-weighing.model.js';
import { RoastBatchModel } from './lots/roast-batch.model.js';
import { CodeRuleModel } from './second-factor/code-rule.model.js';
import { InvitationModel } from './people/invitation.model.js';
import { PersonModel } from './people/person.model.js';
import { ProofWaiverModel } from './proof/proof-waiver.model.js';
import { CalendarModel } from './calendar/calendar.model.js';
import { HandoverNoteModel } from './handover/handover-note.model.js';
import { HomeResultModel } from './home-results/home-result.model.js';
import { PublicationModel } from './publications/publication.model.js';
import { BlindAnswerModel } from './comparisons/blind-answer.model.js';
import { BlindPlaceModel } from './comparisons/blind-place.model.js';
import { BlindTestModel } from './comparisons/blind-test.model.js';
import { ComparisonArmModel } from './comparisons/comparison-arm.model.js';
import { ComparisonBrewModel } from './comparisons/comparison-brew.model.js';
import { ComparisonModel } from './comparisons/comparison.model.js';
import { ChangeModel } from './recipes/change.model.js';
import { RecipeVersionModel } from './recipes/recipe-version.model.js';
import { VersionSignatureModel } from './recipes/version-signature.model.js';
import { RecipeModel } from './recipes/recipe.model.js';
import { BrewEntryModel } from './brew-logs/brew-entry.model.js';
import { FractionModel } from './brews/fraction.model.js';
import { TraceModel } from './brews/trace.model.js';
import { PracticeRunModel } from './practice/practice-run.model.js';
import { RunningBrewModel } from './running-brews/running-brew.model.js';
import { ReferenceTrialModel } from './tasters/reference-trial.model.js';
import { RequestKeyModel } from './writing/request-key.model.js';
import { ImportModel } from './lab-import/import.model.js';
import { WebhookModel } from './webhooks/webhook.model.js';
import { WebhookDeliveryModel } from './webhooks/webhook-delivery.model.js';
import { TokenModel } from './tokens/token.model.js';
import { AttemptsModel } from './limits/attempts.model.js';
import { RecoveryCodeModel } from './second-factor/recovery-code.model.js';
import { SecondFactorModel } from './second-factor/second-factor.model.js';
import { SessionModel } from './session/session.model.js';

/** Every table of the application, for the one connection. */
export const MODELS: ModelCtor[] = [
  PersonModel,
  SessionModel,
  AttemptsModel,
  SecondFactorModel,
  RecoveryCodeModel,
  HouseModel,
  PaperModel,
  BrewerModel,
  GrinderModel,
  KettleModel,
  SieveModel,
  FeederModel,
  StatedSettingModel,
  WaterModel,
  InstrumentModel,
  ZeroCheckModel,
  LotModel,
  RoastBatchModel,
  StockWeighingModel,
  RecipeModel,
  RecipeVersionModel,
  VersionSignatureModel,
  ProofWaiverModel,
  ChangeModel,
  EditModel,
  BrewModel,
  ReadingModel,
  TastingModel,
  TastingLookModel,
  CorrectionModel,
  TraceModel,
  FractionModel,
  ComparisonModel,
  ComparisonArmModel,
  ComparisonBrewModel,
  BlindTestModel,
  BlindPlaceModel,
  BlindAnswerModel,
  RunningBrewModel,
  BrewEntryModel,
  PracticeRunModel,
  ReferenceTrialModel,
  PublicationModel,
  HomeResultModel,
  HandoverNoteModel,
  CalendarModel,
  TokenModel,
  ImportModel,
  InvitationModel,
  CodeRuleModel,
  WebhookModel,
  WebhookDeliveryModel,
  RequestKeyModel,
];
