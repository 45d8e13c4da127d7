import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import type { ReadingSource } from '@vendu/core';
import { DecimalColumn } from '../database/decimal-column.js';

@Table({ tableName: 'readings', updatedAt: false })
export class ReadingModel extends Model<
  InferAttributes<ReadingModel>,
  InferCreationAttributes<ReadingModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.INTEGER) declare brewId: number;
  @DecimalColumn(5, 3) declare tdsPercent: number;
  /** Of the sample when it was read, C; `null` where nobody said. */
  @DecimalColumn(4, 1) declare sampleC: number | null;
  @Column(DataType.STRING) declare source: CreationOptional<ReadingSource>;
  @Column(DataType.INTEGER) declare readBy: number;
  @Column(DataType.DATE) declare removedAt: Date | null;
}
