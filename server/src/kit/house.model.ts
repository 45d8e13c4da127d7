import { Column, DataType, Model, Table } from 'sequelize-typescript';

/** One row: the lab itself. Its windows are house data, not constants of nature. */
@Table({ tableName: 'house' })
export class HouseModel extends Model {
  declare id: number;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.STRING) declare place: string;
  @Column(DataType.INTEGER) declare elevationM: number;
  @Column(DataType.DECIMAL(4, 2)) declare tdsLowPercent: number;
  @Column(DataType.DECIMAL(4, 2)) declare tdsHighPercent: number;
  @Column(DataType.DECIMAL(4, 1)) declare yieldLowPercent: number;
  @Column(DataType.DECIMAL(4, 1)) declare yieldHighPercent: number;
}
