/** The largest file that is taken, in bytes, and as it is said. */
export const largestFile = { bytes: 20 * 1024 * 1024, said: '20 MB' } as const;

/** The most dots that a picture may have, in millions. */
export const mostMegapixels = 40;

/** What is narrower either way is no print. */
export const leastSide = 8;

/** The most pictures that are kept, and how much room they may take together, in bytes and as it is said. */
export const mostPictures = 400;
export const mostRoom = { bytes: 300 * 1024 * 1024, said: '300 MB' } as const;
