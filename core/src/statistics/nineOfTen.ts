/** Nine of ten values of a normal distribution lie within so many standard deviations (standard normal table, 5 to 95 %). */
export const NINE_OF_TEN = 1.645;
