import { BelongsTo, Column, DataType, HasMany, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { BrewPlan, Proof, StartingReasons } from '@vendu/core';
import { DecimalColumn } from '../database/decimal-column.js';
import { PersonModel } from '../people/person.model.js';
import { VersionSignatureModel } from './version-signature.model.js';
import { PublicationModel } from '../publications/publication.model.js';

/** Immutable once written, but for the two signatures that are added to it. */
@Table({ tableName: 'recipe_versions', updatedAt: false })
export class RecipeVersionModel extends Model<
  InferAttributes<RecipeVersionModel>,
  InferCreationAttributes<RecipeVersionModel>
> {
  declare id: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  @Column(DataType.INTEGER) declare recipeId: number;
  @Column(DataType.INTEGER) declare number: number;
  @Column(DataType.INTEGER) declare basedOn: number | null;
  @Column(DataType.JSON) declare plan: BrewPlan;
  @Column(DataType.JSON) declare reasons: StartingReasons | null;
  @Column(DataType.STRING) declare note: string;
  @Column(DataType.INTEGER) declare createdBy: number;
  @Column(DataType.INTEGER) declare acceptedBy: number | null;
  @Column(DataType.DATE) declare acceptedAt: Date | null;
  @Column(DataType.INTEGER) declare signedOffBy: number | null;
  @Column(DataType.DATE) declare signedOffAt: Date | null;
  /** What it had shown when it was signed off; `null` before, and in records older than proofs. */
  @Column(DataType.JSON) declare proof: Proof | null;
  /** How many of all home brewers get its cup, as last worked out; `null` before that. */
  @DecimalColumn(5, 4) declare forgivenShare: number | null;
  /** Why somebody signed off what he had brewed alone. */
  @Column(DataType.STRING) declare signOffReason: CreationOptional<string>;
  @BelongsTo(() => PersonModel, 'createdBy') declare creator: NonAttribute<PersonModel>;
  @BelongsTo(() => PersonModel, 'acceptedBy') declare accepter: NonAttribute<PersonModel | null>;
  @BelongsTo(() => PersonModel, 'signedOffBy') declare signer: NonAttribute<PersonModel | null>;
  /** Who put a name on its card. */
  @HasMany(() => VersionSignatureModel, 'recipeVersionId') declare signatures: NonAttribute<
    VersionSignatureModel[]
  >;
  @HasMany(() => PublicationModel, 'recipeVersionId') declare publications: NonAttribute<PublicationModel[]>;
}
