/** Where the desk stands on its server; addresses inside of it are told without. */
export const BASE = '/desk';
