import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { InferAttributes, InferCreationAttributes } from 'sequelize';

@Table({ tableName: 'sessions', timestamps: false })
export class SessionModel extends Model<
  InferAttributes<SessionModel>,
  InferCreationAttributes<SessionModel>
> {
  @Column({ type: DataType.STRING, primaryKey: true }) declare id: string;
  @Column(DataType.TEXT) declare data: string;
  @Column(DataType.DATE) declare expiresAt: Date;
}
