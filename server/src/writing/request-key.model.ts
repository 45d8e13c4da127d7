import { Column, DataType, Model, Table } from 'sequelize-typescript';

/** A request that stored something, and what it stored. */
@Table({ tableName: 'request_keys', updatedAt: false })
export class RequestKeyModel extends Model {
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare clientKey: string;
  @Column(DataType.INTEGER) declare personId: number;
  @Column(DataType.STRING) declare what: string;
  @Column(DataType.JSON) declare result: unknown;
}
