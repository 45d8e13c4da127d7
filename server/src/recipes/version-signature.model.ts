import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import { PersonModel } from '../people/person.model.js';

/** A name that its owner put on the card of a version: nobody's is public without that. */
@Table({ tableName: 'version_signatures', updatedAt: false })
export class VersionSignatureModel extends Model<
  InferAttributes<VersionSignatureModel>,
  InferCreationAttributes<VersionSignatureModel>
> {
  @Column({ type: DataType.INTEGER, primaryKey: true }) declare recipeVersionId: number;
  @Column({ type: DataType.INTEGER, primaryKey: true }) declare personId: number;
  declare createdAt: CreationOptional<Date>;
  @BelongsTo(() => PersonModel, 'personId') declare person: NonAttribute<PersonModel>;
}
