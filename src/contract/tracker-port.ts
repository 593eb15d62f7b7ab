/** Where the stand-in listens and the application looks for it, unless told otherwise. */
export const TRACKER_PORT = 4330;
