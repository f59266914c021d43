/** Hundredths of a percent in words, with as much after the point as tells something: "12 %", "3.4 %", "0.07 %". */
export function shareWords(share: number): string {
  const percent = share / 100;
  const digits = percent >= 10 || percent === 0 ? 0 : percent >= 1 ? 1 : 2;
  return `${percent.toLocaleString('en', { maximumFractionDigits: digits })} %`;
}
