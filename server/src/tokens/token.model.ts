import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import type { TokenRight } from '@vendu/contract';

/** A key of somebody's program. */
@Table({ tableName: 'tokens', updatedAt: false })
export class TokenModel extends Model<InferAttributes<TokenModel>, InferCreationAttributes<TokenModel>> {
  declare id: CreationOptional<number>;
  @Column(DataType.INTEGER) declare personId: number;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.STRING) declare right: TokenRight;
  @Column(DataType.CHAR(64)) declare secretHash: string;
  @Column(DataType.DATEONLY) declare endsOn: string;
  @Column(DataType.DATE) declare endedAt: CreationOptional<Date | null>;
  @Column(DataType.DATE) declare lastUsedAt: CreationOptional<Date | null>;
  declare createdAt: CreationOptional<Date>;
}
