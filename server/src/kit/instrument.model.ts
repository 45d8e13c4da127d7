import { Column, DataType, HasMany, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { InstrumentKind } from '@vendu/contract';
import { DecimalColumn } from '../database/decimal-column.js';
import { ZeroCheckModel } from './zero-check.model.js';

@Table({ tableName: 'instruments', version: 'revision' })
export class InstrumentModel extends Model<
  InferAttributes<InstrumentModel>,
  InferCreationAttributes<InstrumentModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare kind: InstrumentKind;
  @Column(DataType.STRING) declare name: string;
  @DecimalColumn(7, 3) declare resolution: number;
  @Column(DataType.INTEGER) declare zeroEveryDays: number;
  declare revision: CreationOptional<number>;
  @HasMany(() => ZeroCheckModel, 'instrumentId') declare zeroChecks: NonAttribute<ZeroCheckModel[]>;
}
