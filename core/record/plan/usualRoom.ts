/** The room of a house that has said nothing of it, °C. */
export const USUAL_ROOM_C = 27
