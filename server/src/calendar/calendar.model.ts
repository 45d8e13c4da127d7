import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';

/** Who may be asked for by which secret. One a person: a new one ends the old. */
@Table({ tableName: 'calendars', updatedAt: false })
export class CalendarModel extends Model<
  InferAttributes<CalendarModel>,
  InferCreationAttributes<CalendarModel>
> {
  @Column({ type: DataType.INTEGER, primaryKey: true }) declare personId: number;
  @Column(DataType.CHAR(64)) declare secretHash: string;
  declare createdAt: CreationOptional<Date>;
}
