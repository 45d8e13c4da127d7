import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';

/** What an app of somebody's phone makes codes of. */
@Table({ tableName: 'second_factors', timestamps: false })
export class SecondFactorModel extends Model<
  InferAttributes<SecondFactorModel>,
  InferCreationAttributes<SecondFactorModel>
> {
  @Column({ type: DataType.INTEGER, primaryKey: true }) declare personId: number;
  /** In base 32, as apps take it. */
  @Column(DataType.STRING) declare secret: string;
  /** Since when it is asked for; `null` until a code has shown that the app has it. */
  @Column(DataType.DATE) declare since: Date | null;
  /** The half minute of the last code that was taken: none is good twice, and none before it. */
  @Column(DataType.INTEGER) declare lastStep: CreationOptional<number>;
}
