import { addAttribute, DataType, type Model } from 'sequelize-typescript';

/**
 * A DECIMAL column that reads as a number. The driver hands some decimals out as text, so that no digit
 * is lost; a scale's or a refractometer's few digits fit a number, and the application wants numbers.
 */
export function DecimalColumn(precision: number, scale: number) {
  return (target: object, key: string): void => {
    addAttribute(target, key, {
      type: DataType.DECIMAL(precision, scale),
      get(this: Model): number | null {
        const stored = this.getDataValue(key) as string | number | null | undefined;
        return stored === null || stored === undefined ? null : Number(stored);
      },
    });
  };
}
