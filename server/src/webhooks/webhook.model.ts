import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import type { WebhookEvent } from '@vendu/contract';

/** An address that is told what happens. */
@Table({ tableName: 'webhooks', updatedAt: false })
export class WebhookModel extends Model<
  InferAttributes<WebhookModel>,
  InferCreationAttributes<WebhookModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.STRING) declare url: string;
  @Column(DataType.JSON) declare events: WebhookEvent[];
  @Column(DataType.STRING) declare secret: string;
  @Column(DataType.DATE) declare endedAt: CreationOptional<Date | null>;
  @Column(DataType.INTEGER) declare createdBy: number;
  declare createdAt: CreationOptional<Date>;
}
