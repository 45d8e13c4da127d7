import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import { DecimalColumn } from '../database/decimal-column.js';
import { PersonModel } from '../people/person.model.js';

/** What an instrument showed where it should have shown nothing. Never changed once written. */
@Table({ tableName: 'zero_checks', updatedAt: false })
export class ZeroCheckModel extends Model<
  InferAttributes<ZeroCheckModel>,
  InferCreationAttributes<ZeroCheckModel>
> {
  declare id: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  @Column(DataType.INTEGER) declare instrumentId: number;
  @DecimalColumn(7, 3) declare shown: number;
  @Column(DataType.INTEGER) declare checkedBy: number;
  @BelongsTo(() => PersonModel, 'checkedBy') declare checker: NonAttribute<PersonModel>;
}
