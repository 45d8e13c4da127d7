import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { Trace } from '@vendu/core';

/** What the scale showed during a brew; apart from the brew, since lists never need it. */
@Table({ tableName: 'traces', updatedAt: false })
export class TraceModel extends Model {
  @Column({ type: DataType.INTEGER, primaryKey: true }) declare brewId: number;
  @Column(DataType.JSON) declare samples: Trace;
}
