/** The sign-in of the demo shop, which anybody can read here. */
export const demoPerson = { email: 'demo@larkandline.example', password: 'kites-in-the-wind' };
