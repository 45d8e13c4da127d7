import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { InferAttributes, InferCreationAttributes } from 'sequelize';

/** A request that stored something, and what it stored. */
@Table({ tableName: 'request_keys', updatedAt: false })
export class RequestKeyModel extends Model<
  InferAttributes<RequestKeyModel>,
  InferCreationAttributes<RequestKeyModel>
> {
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare clientKey: string;
  @Column(DataType.INTEGER) declare personId: number;
  @Column(DataType.STRING) declare what: string;
  @Column(DataType.JSON) declare result: unknown;
}
