import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { InferAttributes, InferCreationAttributes } from 'sequelize';

/** A code for when the phone is lost; it goes when it is used. */
@Table({ tableName: 'recovery_codes', timestamps: false })
export class RecoveryCodeModel extends Model<
  InferAttributes<RecoveryCodeModel>,
  InferCreationAttributes<RecoveryCodeModel>
> {
  @Column({ type: DataType.INTEGER, primaryKey: true }) declare personId: number;
  @Column({ type: DataType.CHAR(43), primaryKey: true }) declare codeHash: string;
}
