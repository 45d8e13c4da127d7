import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';

/** A brew that counts for an arm. */
@Table({ tableName: 'comparison_brews', timestamps: false })
export class ComparisonBrewModel extends Model<
  InferAttributes<ComparisonBrewModel>,
  InferCreationAttributes<ComparisonBrewModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.INTEGER) declare comparisonArmId: number;
  @Column(DataType.INTEGER) declare brewId: number;
}
