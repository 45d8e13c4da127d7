import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { Intensity, TastingStage } from '@vendu/core';
import { PersonModel } from '../people/person.model.js';

@Table({ tableName: 'tastings' })
export class TastingModel extends Model<
  InferAttributes<TastingModel>,
  InferCreationAttributes<TastingModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.INTEGER) declare brewId: number;
  @Column(DataType.INTEGER) declare tastedBy: number;
  @Column(DataType.STRING) declare stage: TastingStage;
  @Column(DataType.STRING) declare notes: string;
  @Column(DataType.JSON) declare intensities: Record<Intensity, number | null>;
  @BelongsTo(() => PersonModel, 'tastedBy') declare taster: NonAttribute<PersonModel>;
}
