import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';

/** A way in, once. Its address is not kept, only what it can be known by. */
@Table({ tableName: 'invitations', updatedAt: false })
export class InvitationModel extends Model<
  InferAttributes<InvitationModel>,
  InferCreationAttributes<InvitationModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.CHAR(64)) declare secretHash: string;
  /** `null` of the one that makes the first lead. */
  @Column(DataType.INTEGER) declare personId: number | null;
  @Column(DataType.DATE) declare endsAt: Date;
  @Column(DataType.DATE) declare usedAt: CreationOptional<Date | null>;
  @Column(DataType.INTEGER) declare invitedBy: number | null;
  declare createdAt: CreationOptional<Date>;
}
