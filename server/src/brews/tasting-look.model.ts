import { Column, DataType, Model, PrimaryKey, Table } from 'sequelize-typescript';
import type { InferAttributes, InferCreationAttributes } from 'sequelize';

/** Somebody chose to see the sheets of a brew without tasting it. */
@Table({ tableName: 'tasting_looks', timestamps: false })
export class TastingLookModel extends Model<
  InferAttributes<TastingLookModel>,
  InferCreationAttributes<TastingLookModel>
> {
  @PrimaryKey @Column(DataType.INTEGER) declare brewId: number;
  @PrimaryKey @Column(DataType.INTEGER) declare personId: number;
  @Column(DataType.DATE(3)) declare lookedAt: Date;
}
