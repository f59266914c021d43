import { createContext, useContext } from 'react';
import { frames, usualCardLook } from '../../core/model/card-choices';
import type { CardLook } from '../../core/storefront/frame-view';

/** How cards are drawn in this shop. */
export const CardLookContext = createContext<CardLook>(usualCardLook);

/** Width by height of the frames in which the shop shows pictures of goods. */
export const useFrameRatio = (): number => frames[useContext(CardLookContext).frame].ratio;
