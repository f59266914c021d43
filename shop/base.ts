import { createContext, useContext } from 'react';

/** What stands before every address: nothing in the shop, "/preview" in the shop window. */
export const BaseContext = createContext('');

export const useBase = () => useContext(BaseContext);
