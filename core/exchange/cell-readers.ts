import { fold } from '../shared/fold';
import { momentFromLocal } from '../shared/moment';
import { readMeasure } from '../shared/units';
import { partsOf, plainNumber, type ExchangeColumn, type NameList, type Reading, type ReadTerms } from './column';

/** One of a few words that Dispona has for something; the first fits where nothing is said. */
export function oneOf(
  words: readonly string[],
  others: Readonly<Record<string, string>> = {},
): Pick<ExchangeColumn, 'read'> {
  return {
    read: (text) => {
      const wanted = fold(text).trim();
      if (wanted === '') return { value: words[0] };
      const found = words.find((word) => fold(word) === wanted) ?? others[wanted];
      return found === undefined ? { problem: `“${text}” has to be one of: ${words.join(', ')}.` } : { value: found };
    },
  };
}

export function idOf(list: NameList, what: string, name: string): Reading {
  const id = list.idOf(name);
  return id === undefined ? { problem: `There is no ${what} “${name}”.` } : { value: id };
}

/** Several things by name. A name that is known may hold the marks that part others; `also` parts where nothing else does. */
export function idsOf(list: NameList, what: string, text: string, also?: string): Reading {
  const parts = list.has(text) ? [text] : partsOf(text);
  const ids: string[] = [];
  for (const name of also && parts.length === 1 && !list.has(text) ? text.split(also) : parts) {
    if (name.trim() === '') continue;
    const found = idOf(list, what, name.trim());
    if ('problem' in found) return found;
    ids.push(found.value as string);
  }
  return { value: [...new Set(ids)] };
}

/** A moment in the time zone of the shop: "2027-05-03 10:00", "3.5.2027", "2027-05-03T08:00:00Z". */
export function readMoment(text: string, { timeZone }: ReadTerms): Reading {
  if (text === '') return { value: null };
  if (/\dT\d.*(Z|[+-]\d\d:?\d\d)$/.test(text) && !Number.isNaN(Date.parse(text)))
    return { value: new Date(text).toISOString() };
  const match =
    /^(?:(?<year>\d{4})-(?<month>\d{1,2})-(?<day>\d{1,2})|(?<day2>\d{1,2})\.(?<month2>\d{1,2})\.(?<year2>\d{4}))(?:[ T,]+(?<time>\d{1,2}:\d{2})(?::\d{2})?)?$/.exec(
      text,
    );
  const { year, year2, month, month2, day, day2, time = '00:00' } = match?.groups ?? {};
  const two = (digits: string | undefined) => (digits ?? '').padStart(2, '0');
  const local = `${year ?? year2}-${two(month ?? month2)}-${two(day ?? day2)}T${time.padStart(5, '0')}`;
  const moment = match ? momentFromLocal(local, timeZone) : null;
  return moment === null ? { problem: `“${text}” is not a day, like 2027-05-03 10:00.` } : { value: moment };
}

/** Grams; a number alone is meant in them. */
export function readWeight(text: string, { decimal }: ReadTerms): Reading {
  if (text === '') return { value: null };
  const [, number, unit] = /^(-?[\d.,'’\s]+)\s*([a-z]*)\.?$/i.exec(text) ?? [];
  if (number === undefined) return { problem: `“${text}” is not a weight, like 350 g or 1.2 kg.` };
  const read = readMeasure(`${plainNumber(number, decimal)} ${unit || 'g'}`, 'g');
  return 'problem' in read
    ? { problem: `“${text}” is not a weight, like 350 g.` }
    : { value: Math.round(read.value / 1_000) };
}

export function readQuantityPrices(text: string, { decimal }: ReadTerms): Reading {
  const tiers: { from: number; off: number }[] = [];
  for (const part of partsOf(text)) {
    const match = /^(?:from\s*)?(\d+)\s*[:=]\s*-?([\d.,]+)\s*%$/.exec(part);
    const off = match && plainNumber(match[2]!, decimal);
    if (!match || off === undefined) return { problem: `“${part}” is not like “5: 10 %”.` };
    tiers.push({ from: Number(match[1]), off: Math.round(Number(off) * 100) });
  }
  return { value: tiers.sort((a, b) => a.from - b.from) };
}

export function readOwnFields(text: string): Reading {
  const fields = partsOf(text).map((part) => {
    const at = part.indexOf(':');
    return { label: part.slice(0, at).trim(), value: part.slice(at + 1).trim(), isRight: at > 0 };
  });
  const wrong = fields.find(({ isRight }) => !isRight);
  return wrong
    ? { problem: `“${wrong.value}” is not like “Material: ripstop”.` }
    : { value: fields.map(({ label, value }) => ({ label, value })) };
}
