/** The size of a file in words: "840 bytes", "12 kB", "3.4 MB", "1.2 GB". */
export function fileSize(bytes: number): string {
  if (bytes < 1_000) return `${bytes} bytes`;
  if (bytes < 1e6) return `${Math.round(bytes / 1e3)} kB`;
  const [amount, unit] = bytes < 1e9 ? [bytes / 1e6, 'MB'] : [bytes / 1e9, 'GB'];
  return `${amount.toLocaleString('en', { maximumFractionDigits: 1 })} ${unit}`;
}
