import { Column, DataType, HasMany, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { LotFigure, LotText } from '@vendu/contract';
import type {
  BaseProcess,
  ElevationWord,
  LotEvidence,
  LotSign,
  LotStage,
  Process,
  ProofCheckId,
} from '@vendu/core';
import { RoastBatchModel } from './roast-batch.model.js';
import { DecimalColumn } from '../database/decimal-column.js';

@Table({ tableName: 'lots', version: 'revision' })
export class LotModel
  extends Model<InferAttributes<LotModel>, InferCreationAttributes<LotModel>>
  implements Record<LotText, string>, Record<LotFigure, number | null>
{
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.CHAR(2)) declare country: string;
  @Column(DataType.STRING) declare region: string;
  @Column(DataType.STRING) declare farm: string;
  @Column(DataType.STRING) declare producer: string;
  @Column(DataType.STRING) declare variety: string;
  @Column(DataType.STRING) declare process: Process;
  @Column(DataType.STRING) declare baseProcess: BaseProcess | null;
  @Column(DataType.STRING) declare fermentationNote: string;
  @Column(DataType.STRING) declare additions: string;
  @Column(DataType.BOOLEAN) declare isDecaffeinated: CreationOptional<boolean>;
  @Column(DataType.INTEGER) declare elevationFromM: number | null;
  @Column(DataType.INTEGER) declare elevationToM: number | null;
  @Column(DataType.STRING) declare elevationWord: ElevationWord | null;
  @DecimalColumn(5, 1) declare densityGPerL: number | null;
  @DecimalColumn(4, 2) declare moisturePercent: number | null;
  @DecimalColumn(4, 3) declare waterActivity: number | null;
  @DecimalColumn(8, 2) declare pricePerKg: number | null;
  @Column(DataType.STRING) declare screenSize: CreationOptional<string>;
  @Column(DataType.STRING) declare greenLook: CreationOptional<string>;
  @Column(DataType.STRING) declare harvest: string;
  @Column(DataType.STRING) declare drying: string;
  /** As one line; see `labelNotesIn`. */
  @Column(DataType.STRING) declare labelNotes: string;
  @DecimalColumn(9, 1) declare stockG: number | null;
  @Column(DataType.STRING) declare supplier: string;
  @Column(DataType.DATEONLY) declare launchOn: string | null;
  @Column(DataType.JSON) declare signs: LotSign[] | null;
  /** When the stock was weighed: what is left counts from then. */
  @Column(DataType.DATE) declare stockAt: Date | null;
  /** What its brews taught, kept when its recipe is accepted, for the house's next lots. */
  @Column(DataType.JSON) declare evidence: LotEvidence | null;
  /** Version of the brew model that it was learned with. */
  @Column(DataType.STRING) declare evidenceModel: string | null;
  /** The address of its public page, from its first publication on. */
  @Column(DataType.STRING) declare publicSlug: CreationOptional<string | null>;
  // From here on computed from the records by `refreshLotProgress`, for the list to be filtered and sorted by.
  @Column(DataType.STRING) declare stage: CreationOptional<LotStage>;
  @Column(DataType.INTEGER) declare brewCount: CreationOptional<number>;
  @DecimalColumn(9, 1) declare brewedG: CreationOptional<number>;
  @DecimalColumn(9, 1) declare leftG: number | null;
  @Column(DataType.DATE) declare lastBrewedAt: Date | null;
  /** Of the version that is to be proved next; `null` where there is none. */
  @Column(DataType.JSON) declare proofMissing: ProofCheckId[] | null;
  /** When a public recipe of it is to be brewed again; `null` where none is public. */
  @Column(DataType.DATEONLY) declare recheckOn: string | null;
  @Column(DataType.DATEONLY) declare latestRoastedOn: string | null;
  @Column(DataType.INTEGER) declare createdBy: number;
  declare revision: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  @HasMany(() => RoastBatchModel, 'lotId') declare roastBatches: NonAttribute<RoastBatchModel[]>;
}
