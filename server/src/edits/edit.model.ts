import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { EditedField, EditView } from '@vendu/contract';
import { PersonModel } from '../people/person.model.js';

@Table({ tableName: 'edits', updatedAt: false })
export class EditModel extends Model<InferAttributes<EditModel>, InferCreationAttributes<EditModel>> {
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare tableName: string;
  @Column(DataType.INTEGER) declare rowId: number;
  @Column(DataType.STRING) declare about: string;
  @Column(DataType.STRING) declare kind: EditView['kind'];
  @Column(DataType.JSON) declare fields: EditedField[];
  @Column(DataType.INTEGER) declare editedBy: number;
  declare createdAt: CreationOptional<Date>;
  @BelongsTo(() => PersonModel, 'editedBy') declare editor: NonAttribute<PersonModel>;
}
