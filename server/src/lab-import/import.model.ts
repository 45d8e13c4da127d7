import { BelongsTo, Column, DataType, ForeignKey, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { ImportCount } from '@vendu/contract';
import { PersonModel } from '../people/person.model.js';

/** A file that was taken in. Which rows came with it stands in `import_rows`. */
@Table({ tableName: 'imports', updatedAt: false })
export class ImportModel extends Model<InferAttributes<ImportModel>, InferCreationAttributes<ImportModel>> {
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare fileName: string;
  @Column(DataType.DATE) declare madeAt: Date;
  @Column(DataType.JSON) declare counts: ImportCount[];
  /** Lots that something came to, new ones among them. */
  @Column(DataType.JSON) declare lotIds: number[];
  /** The lab as it was, where the file's came in its place. */
  @Column(DataType.JSON) declare houseBefore: CreationOptional<object | null>;
  @ForeignKey(() => PersonModel) @Column(DataType.INTEGER) declare takenBy: number;
  @Column(DataType.DATE) declare undoneAt: CreationOptional<Date | null>;
  declare createdAt: CreationOptional<Date>;
  @BelongsTo(() => PersonModel, 'takenBy') declare taker?: NonAttribute<PersonModel>;
}
