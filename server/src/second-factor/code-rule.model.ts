import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { InferAttributes, InferCreationAttributes, CreationOptional } from 'sequelize';
import type { CodeAskedOf } from '@vendu/contract';

/** One row: of whom the lab asks a code at sign-in. */
@Table({ tableName: 'code_rules', version: 'revision' })
export class CodeRuleModel extends Model<
  InferAttributes<CodeRuleModel>,
  InferCreationAttributes<CodeRuleModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare askedOf: CodeAskedOf;
  /** Until then there is time to set one up; `null` while nobody is asked. */
  @Column(DataType.DATE) declare askedFrom: Date | null;
  declare revision: CreationOptional<number>;
}
