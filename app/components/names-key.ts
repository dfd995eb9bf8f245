/** The fetcher of all names: it loads once the page rests, and anew each time the palette is opened. */
export const NAMES_KEY = "names";
