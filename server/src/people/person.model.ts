import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import type { Role } from '@vendu/core';

@Table({ tableName: 'people' })
export class PersonModel extends Model<InferAttributes<PersonModel>, InferCreationAttributes<PersonModel>> {
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare name: string;
  /** `null` of people who came with another lab’s file: they are named, and cannot sign in. */
  @Column(DataType.STRING) declare email: CreationOptional<string | null>;
  @Column(DataType.STRING) declare role: Role;
  @Column(DataType.STRING) declare passwordHash: CreationOptional<string | null>;
  /** When he is usually in, as `06:30`; both or neither. */
  @Column(DataType.STRING) declare inFrom: CreationOptional<string | null>;
  @Column(DataType.STRING) declare inUntil: CreationOptional<string | null>;
  /** Since when he works here no more. */
  @Column(DataType.DATE) declare leftAt: CreationOptional<Date | null>;
  /** Read where somebody is let in, see `CODE_DUE_FROM`; nothing that is kept. */
  @Column(DataType.VIRTUAL) declare codeDueFrom: CreationOptional<Date | null>;
}
