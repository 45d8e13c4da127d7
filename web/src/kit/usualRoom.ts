/** A room of which nobody told the temperature, C. */
export const USUAL_ROOM_C = 21;
