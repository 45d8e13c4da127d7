import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import { DecimalColumn } from '../database/decimal-column.js';
import { PersonModel } from '../people/person.model.js';

/** What was left of a lot when somebody weighed it. Never changed once written. */
@Table({ tableName: 'stock_weighings', updatedAt: false })
export class StockWeighingModel extends Model<
  InferAttributes<StockWeighingModel>,
  InferCreationAttributes<StockWeighingModel>
> {
  declare id: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  @Column(DataType.INTEGER) declare lotId: number;
  @DecimalColumn(9, 1) declare massG: number;
  @Column(DataType.INTEGER) declare weighedBy: number;
  @BelongsTo(() => PersonModel, 'weighedBy') declare weigher: NonAttribute<PersonModel>;
}
