/** The sign-in of the demo shop, which anybody can read here. */
export const demoPerson = { email: 'demo@larkandline.example', password: 'kites-in-the-wind' };

/** Somebody who makes goods of the demo shop, and sees nothing else of it. */
export const demoMaker = { email: 'maker@harbourcloth.example', password: 'cloth-for-the-wind' };
