/** Grows when the same piece may get another plan; kept plans say which engine they were made with. */
export const ENGINE_VERSION = 6;
