import { countryCodes, countryName } from '../../../core/model/countries';
import { Choose } from './choose';

/** Some countries, each taken out with a click. */
export function Countries({
  label,
  codes,
  change,
}: {
  label: string;
  codes: readonly string[];
  change: (codes: string[]) => void;
}) {
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">{label}</legend>
      <div className="flex flex-wrap items-center gap-1.5">
        {codes.map((code) => (
          <button
            key={code}
            type="button"
            aria-label={`Remove ${countryName(code, 'en')}`}
            onClick={() => change(codes.filter((each) => each !== code))}
            className="rounded-lg bg-sunk px-2 py-1 hover:bg-rose-soft"
          >
            {countryName(code, 'en')} ×
          </button>
        ))}
        <Choose
          label="Add a country"
          choices={countryCodes
            .filter((code) => !codes.includes(code))
            .map((code) => ({ value: code, label: countryName(code, 'en') }))}
          choose={(code) => change([...codes, code])}
        />
      </div>
    </fieldset>
  );
}
