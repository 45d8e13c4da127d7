import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { CorrectionView } from '@vendu/contract';
import { PersonModel } from '../people/person.model.js';
import { DecimalColumn } from '../database/decimal-column.js';

/** What a weighed figure was before it was altered. */
@Table({ tableName: 'corrections', updatedAt: false })
export class CorrectionModel extends Model<
  InferAttributes<CorrectionModel>,
  InferCreationAttributes<CorrectionModel>
> {
  declare id: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  @Column(DataType.INTEGER) declare brewId: number;
  @Column(DataType.STRING) declare field: CorrectionView['field'];
  @DecimalColumn(9, 2) declare fromValue: number | null;
  @DecimalColumn(9, 2) declare toValue: number | null;
  @Column(DataType.INTEGER) declare correctedBy: number;
  @BelongsTo(() => PersonModel, 'correctedBy') declare corrector: NonAttribute<PersonModel>;
}
