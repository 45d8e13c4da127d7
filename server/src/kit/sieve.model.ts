import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';

@Table({ tableName: 'sieves', version: 'revision' })
export class SieveModel extends Model<InferAttributes<SieveModel>, InferCreationAttributes<SieveModel>> {
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.INTEGER) declare holesUm: number;
  declare revision: CreationOptional<number>;
}
