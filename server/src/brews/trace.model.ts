import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { InferAttributes, InferCreationAttributes } from 'sequelize';
import type { Trace } from '@vendu/core';

/** What the scales showed during a brew; apart from the brew, since lists never need it. */
@Table({ tableName: 'traces', updatedAt: false })
export class TraceModel extends Model<InferAttributes<TraceModel>, InferCreationAttributes<TraceModel>> {
  @Column({ type: DataType.INTEGER, primaryKey: true }) declare brewId: number;
  /** Of the scale under everything; empty where only the beverage was weighed. */
  @Column(DataType.JSON) declare samples: Trace;
  /** Of the scale under the server alone. */
  @Column(DataType.JSON) declare outflow: Trace | null;
}
