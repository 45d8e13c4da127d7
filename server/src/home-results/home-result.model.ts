import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { KitchenTaste } from '@vendu/core';
import { DecimalColumn } from '../database/decimal-column.js';
import { PublicationModel } from '../publications/publication.model.js';

/** How a card came out in somebody's kitchen; nothing of who it was is kept. */
@Table({ tableName: 'home_results', updatedAt: false })
export class HomeResultModel extends Model<
  InferAttributes<HomeResultModel>,
  InferCreationAttributes<HomeResultModel>
> {
  declare id: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  @Column(DataType.CHAR(36)) declare clientKey: string;
  @Column(DataType.INTEGER) declare publicationId: number;
  @DecimalColumn(5, 1) declare doseG: number;
  @DecimalColumn(6, 1) declare drainedS: number;
  @Column(DataType.STRING) declare taste: KitchenTaste;
  @Column(DataType.STRING) declare grinder: string;
  @DecimalColumn(8, 2) declare setting: number | null;
  @BelongsTo(() => PublicationModel, 'publicationId') declare publication: NonAttribute<PublicationModel>;
}
