import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { InferAttributes, InferCreationAttributes } from 'sequelize';

/** What was tried of one thing lately. */
@Table({ tableName: 'attempts', timestamps: false })
export class AttemptsModel extends Model<
  InferAttributes<AttemptsModel>,
  InferCreationAttributes<AttemptsModel>
> {
  /** Nobody's name or address: only who knows the lab's secret can tell whose they are. */
  @Column({ type: DataType.CHAR(43), primaryKey: true }) declare subject: string;
  /** Until when each counts, ms since 1970, oldest first. */
  @Column(DataType.JSON) declare untilMs: number[];
  /** Until when any does. */
  @Column(DataType.DATE) declare countsUntil: Date;
}
