import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import { PersonModel } from '../people/person.model.js';

/** What somebody left the next shift in words. It is never altered: a later one says what changed. */
@Table({ tableName: 'handover_notes', updatedAt: false })
export class HandoverNoteModel extends Model<
  InferAttributes<HandoverNoteModel>,
  InferCreationAttributes<HandoverNoteModel>
> {
  declare id: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  @Column(DataType.STRING) declare text: string;
  @Column(DataType.INTEGER) declare writtenBy: number;
  @BelongsTo(() => PersonModel, 'writtenBy') declare writer: NonAttribute<PersonModel>;
}
