import { Column, DataType, Model, Table } from 'sequelize-typescript';

@Table({ tableName: 'readings', updatedAt: false })
export class ReadingModel extends Model {
  declare id: number;
  @Column(DataType.INTEGER) declare brewId: number;
  @Column(DataType.DECIMAL(5, 3)) declare tdsPercent: number;
  @Column(DataType.INTEGER) declare readBy: number;
  @Column(DataType.DATE) declare removedAt: Date | null;
}
