import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';

@Table({ tableName: 'sessions', timestamps: false })
export class SessionModel extends Model<
  InferAttributes<SessionModel>,
  InferCreationAttributes<SessionModel>
> {
  @Column({ type: DataType.STRING, primaryKey: true }) declare id: string;
  @Column(DataType.TEXT) declare data: string;
  @Column(DataType.DATE) declare expiresAt: Date;
  /** `null` of one that nobody has signed in with. */
  @Column(DataType.INTEGER) declare personId: number | null;
  /** Browser and system, in words. */
  @Column(DataType.STRING) declare device: CreationOptional<string>;
  @Column(DataType.DATE) declare begunAt: Date | null;
}
