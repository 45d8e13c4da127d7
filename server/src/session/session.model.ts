import { Column, DataType, Model, Table } from 'sequelize-typescript';

@Table({ tableName: 'sessions', timestamps: false })
export class SessionModel extends Model {
  @Column({ type: DataType.STRING, primaryKey: true }) declare id: string;
  @Column(DataType.TEXT) declare data: string;
  @Column(DataType.DATE) declare expiresAt: Date;
}
