import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { Trace } from '@vendu/core';
import { PersonModel } from '../people/person.model.js';

/** A brew still on a bench, as far as the bench has told. */
@Table({ tableName: 'running_brews' })
export class RunningBrewModel extends Model<
  InferAttributes<RunningBrewModel>,
  InferCreationAttributes<RunningBrewModel>
> {
  declare updatedAt: CreationOptional<Date>;
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare clientKey: string;
  @Column(DataType.STRING) declare lotName: string;
  @Column(DataType.STRING) declare brewerName: string;
  @Column(DataType.INTEGER) declare seq: number;
  @Column(DataType.TEXT) declare state: string;
  /** What the scale showed so far; apart from the list, which never needs it. */
  @Column(DataType.JSON) declare trace: Trace | null;
  /** Which device has it on its bench; `null` where it does not say. */
  @Column(DataType.CHAR(36)) declare device: string | null;
  @Column(DataType.INTEGER) declare brewedBy: number;
  @BelongsTo(() => PersonModel, 'brewedBy') declare brewer: NonAttribute<PersonModel>;
}
