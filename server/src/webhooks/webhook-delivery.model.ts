import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { WebhookEvent } from '@vendu/contract';
import { WebhookModel } from './webhook.model.js';

/** One thing told to one address, or to be told. */
@Table({ tableName: 'webhook_deliveries', updatedAt: false })
export class WebhookDeliveryModel extends Model<
  InferAttributes<WebhookDeliveryModel>,
  InferCreationAttributes<WebhookDeliveryModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.INTEGER) declare webhookId: number;
  @Column(DataType.STRING) declare event: WebhookEvent;
  @Column(DataType.STRING) declare about: string;
  @Column(DataType.JSON) declare body: object;
  @Column(DataType.INTEGER) declare tries: CreationOptional<number>;
  /** `null` once it was told or given up. */
  @Column(DataType.DATE) declare nextTryAt: Date | null;
  @Column(DataType.DATE) declare toldAt: CreationOptional<Date | null>;
  @Column(DataType.STRING) declare answer: CreationOptional<string>;
  declare createdAt: CreationOptional<Date>;
  @BelongsTo(() => WebhookModel, 'webhookId') declare webhook: NonAttribute<WebhookModel>;
}
