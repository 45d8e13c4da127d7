import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import type { RoastLevel } from '@vendu/core';
import { DecimalColumn } from '../database/decimal-column.js';

@Table({ tableName: 'roast_batches' })
export class RoastBatchModel extends Model<
  InferAttributes<RoastBatchModel>,
  InferCreationAttributes<RoastBatchModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.INTEGER) declare lotId: number;
  @Column(DataType.DATEONLY) declare roastedOn: string;
  @Column(DataType.STRING) declare level: RoastLevel | null;
  @DecimalColumn(4, 1) declare lossPercent: number | null;
  @DecimalColumn(4, 1) declare endC: number | null;
  @Column(DataType.BOOLEAN) declare isSample: CreationOptional<boolean>;
}

/**
 * The newest of a lot's roast batches, a sample only where nothing else was roasted; one taken in later wins on the same
 * day. `null` before the first roast.
 */
export function newestBatch(batches: readonly RoastBatchModel[]): RoastBatchModel | null {
  const toSell = batches.filter(({ isSample }) => !isSample);
  return (toSell.length > 0 ? toSell : batches).reduce<RoastBatchModel | null>(
    (a, b) => (a && (a.roastedOn > b.roastedOn || (a.roastedOn === b.roastedOn && a.id > b.id)) ? a : b),
    null,
  );
}
