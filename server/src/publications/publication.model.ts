import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { NonAttribute } from 'sequelize';
import { PersonModel } from '../people/person.model.js';

/** A version made public. Withdrawing keeps the row, so that it can be undone and looked up. */
@Table({ tableName: 'publications', updatedAt: false })
export class PublicationModel extends Model {
  declare id: number;
  declare createdAt: Date;
  @Column(DataType.INTEGER) declare recipeVersionId: number;
  @Column(DataType.STRING) declare introduction: string;
  @Column(DataType.INTEGER) declare publishedBy: number;
  @Column(DataType.DATE) declare withdrawnAt: Date | null;
  @BelongsTo(() => PersonModel, 'publishedBy') declare publisher: NonAttribute<PersonModel>;
}
