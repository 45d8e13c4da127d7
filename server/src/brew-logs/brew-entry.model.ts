import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { InferAttributes, InferCreationAttributes } from 'sequelize';
import type { BrewEntry } from '@vendu/core';

/** One entry of the log of a brew, under the key that the bench gave the brew. */
@Table({ tableName: 'brew_entries', timestamps: false })
export class BrewEntryModel extends Model<
  InferAttributes<BrewEntryModel>,
  InferCreationAttributes<BrewEntryModel>
> {
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare brewKey: string;
  @Column({ type: DataType.STRING(36), primaryKey: true }) declare device: string;
  @Column({ type: DataType.INTEGER, primaryKey: true }) declare number: number;
  @Column(DataType.JSON) declare entry: BrewEntry;
  @Column(DataType.INTEGER) declare toldBy: number;
  @Column(DataType.DATE) declare toldAt: Date;
}
