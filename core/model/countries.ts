import { z } from 'zod';

/** Countries and territories by their two letters, ISO 3166-1. */
export const countryCodes = (
  'AD AE AF AG AI AL AM AO AR AS AT AU AW AX AZ BA BB BD BE BF BG BH BI BJ BL BM BN BO BQ BR BS BT BW BY BZ CA CC CD CF CG CH ' +
  'CI CK CL CM CN CO CR CU CV CW CX CY CZ DE DJ DK DM DO DZ EC EE EG EH ER ES ET FI FJ FK FM FO FR GA GB GD GE GF GG GH GI GL ' +
  'GM GN GP GQ GR GT GU GW GY HK HN HR HT HU ID IE IL IM IN IO IQ IR IS IT JE JM JO JP KE KG KH KI KM KN KP KR KW KY KZ LA LB ' +
  'LC LI LK LR LS LT LU LV LY MA MC MD ME MF MG MH MK ML MM MN MO MP MQ MR MS MT MU MV MW MX MY MZ NA NC NE NF NG NI NL NO NP ' +
  'NR NU NZ OM PA PE PF PG PH PK PL PM PN PR PS PT PW PY QA RE RO RS RU RW SA SB SC SD SE SG SH SI SJ SK SL SM SN SO SR SS ST ' +
  'SV SX SY SZ TC TD TF TG TH TJ TK TL TM TN TO TR TT TV TW TZ UA UG US UY UZ VA VC VE VG VI VN VU WF WS YE YT ZA ZM ZW'
).split(' ');

const known = new Set(countryCodes);
export const countrySchema = z.string().refine((code) => known.has(code), 'Choose a country.');

const names = new Map<string, Intl.DisplayNames>();

/** A country as people of a language call it: "NL" → "Netherlands". */
export function countryName(code: string, locale: string): string {
  let known = names.get(locale);
  if (!known) names.set(locale, (known = new Intl.DisplayNames(locale, { type: 'region' })));
  return known.of(code) ?? code;
}

/** Postcodes of countries where all look alike; others take any. */
const postcodes: Readonly<Record<string, { form: RegExp; example: string }>> = {
  AT: { form: /^\d{4}$/, example: '1010' },
  BE: { form: /^\d{4}$/, example: '9000' },
  CH: { form: /^\d{4}$/, example: '3011' },
  DE: { form: /^\d{5}$/, example: '20457' },
  DK: { form: /^\d{4}$/, example: '8000' },
  ES: { form: /^\d{5}$/, example: '46011' },
  FR: { form: /^\d{5}$/, example: '44000' },
  GB: { form: /^[A-Z]{1,2}\d[A-Z\d]? ?\d[A-Z]{2}$/i, example: 'BS1 4DJ' },
  IT: { form: /^\d{5}$/, example: '16126' },
  LU: { form: /^(L-)?\d{4}$/i, example: '1009' },
  NL: { form: /^\d{4} ?[A-Z]{2}$/i, example: '4401 AB' },
  PL: { form: /^\d{2}-\d{3}$/, example: '80-001' },
  SE: { form: /^\d{3} ?\d{2}$/, example: '411 04' },
  US: { form: /^\d{5}(-\d{4})?$/, example: '02110' },
};

/** Countries where addresses have no postcode, or need none. */
const withoutPostcode = new Set(['AE', 'AG', 'BS', 'HK', 'IE', 'JM', 'QA']);

/** What is wrong with a postcode in a country, in plain words; undefined when it can be one. */
export function postcodeProblem(country: string, postcode: string): string | undefined {
  if (postcode === '') return withoutPostcode.has(country) ? undefined : 'Type the postcode.';
  const known = postcodes[country];
  return known && !known.form.test(postcode) ? `A postcode here looks like ${known.example}.` : undefined;
}
