import type { Check } from './check';
import { noBarcode } from './checks/codes';
import { engineConflict } from './checks/engines';
import { oldBackup, plannedTouched } from './checks/keeping';
import { languageGaps } from './checks/languages';
import { giveAway } from './checks/offers';
import { optionAlike } from './checks/options';
import { noAlt, palePicture, smallPicture } from './checks/pictures';
import { oddSection, shelfSize, soldOutInFront, unreachable } from './checks/places';
import { productChecks } from './checks/product-rules';
import { taxUnlike } from './checks/taxes';
import { sameBarcode, sameSku, sameTitle } from './checks/twice';
import { addressUnlike, longMeta } from './checks/words';

/** All that can be loose. */
export const checks: readonly Check[] = [
  ...productChecks,
  giveAway,
  oddSection,
  shelfSize,
  soldOutInFront,
  unreachable,
  sameTitle,
  sameSku,
  sameBarcode,
  taxUnlike,
  optionAlike,
  noBarcode,
  smallPicture,
  palePicture,
  noAlt,
  addressUnlike,
  longMeta,
  languageGaps,
  engineConflict,
  plannedTouched,
  oldBackup,
];
