import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { ProofCheckId } from '@vendu/core';
import { PersonModel } from '../people/person.model.js';

/** A check that a lead let pass, and why. One that is taken back stays as a row. */
@Table({ tableName: 'proof_waivers', updatedAt: false })
export class ProofWaiverModel extends Model<
  InferAttributes<ProofWaiverModel>,
  InferCreationAttributes<ProofWaiverModel>
> {
  declare id: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  @Column(DataType.INTEGER) declare recipeVersionId: number;
  @Column(DataType.STRING) declare checkId: ProofCheckId;
  @Column(DataType.STRING) declare reason: string;
  @Column(DataType.INTEGER) declare waivedBy: number;
  @Column(DataType.INTEGER) declare takenBackBy: CreationOptional<number | null>;
  @Column(DataType.DATE) declare takenBackAt: CreationOptional<Date | null>;
  @BelongsTo(() => PersonModel, 'waivedBy') declare waiver: NonAttribute<PersonModel>;
}
