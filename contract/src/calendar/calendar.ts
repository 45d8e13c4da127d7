/** A calendar that others' programs read. The address is told once, when it is made. */
export interface CalendarView {
  /** `null` where there is none. */
  madeAt: string | null;
  /** The whole address; only in the answer to its making. */
  address: string | null;
}
