import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { PublishedCard } from '@vendu/contract';
import { PersonModel } from '../people/person.model.js';

/**
 * A version made public, with the card as it was then. A recipe has one that is live at most, which a unique key holds;
 * withdrawing keeps the row, so that it can be undone and looked up.
 */
@Table({ tableName: 'publications', updatedAt: false })
export class PublicationModel extends Model<
  InferAttributes<PublicationModel>,
  InferCreationAttributes<PublicationModel>
> {
  declare id: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  @Column(DataType.INTEGER) declare recipeId: number;
  @Column(DataType.INTEGER) declare recipeVersionId: number;
  @Column(DataType.STRING) declare introduction: string;
  /** `null` in rows of an older version until the server starts. */
  @Column(DataType.JSON) declare card: PublishedCard | null;
  @Column(DataType.INTEGER) declare publishedBy: number;
  @Column(DataType.DATE) declare withdrawnAt: Date | null;
  /** Withdrawn by a lead, not only followed by a newer one. */
  @Column(DataType.BOOLEAN) declare isRecalled: CreationOptional<boolean>;
  @BelongsTo(() => PersonModel, 'publishedBy') declare publisher: NonAttribute<PersonModel>;
}
