import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import type { BlindAnswer, TastingStage } from '@vendu/core';

/** What a taster said at one stage, in codes. It is never altered. */
@Table({ tableName: 'blind_answers', updatedAt: false })
export class BlindAnswerModel extends Model<
  InferAttributes<BlindAnswerModel>,
  InferCreationAttributes<BlindAnswerModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.INTEGER) declare blindPlaceId: number;
  @Column(DataType.STRING) declare stage: TastingStage;
  @Column(DataType.JSON) declare answer: BlindAnswer;
  @Column(DataType.STRING) declare note: string;
  declare createdAt: CreationOptional<Date>;
}
