/** How light a colour is, from 0 to 1, as the eye has it. */
function lightness(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const part = parseInt(hex.slice(at, at + 2), 16) / 255;
    return part <= 0.03928 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** Letters that are read on a colour. */
export const onColour = (hex: string) => (lightness(hex) > 0.36 ? '#101418' : '#ffffff');
/** A ground on which letters of this colour are read. */
export const paperFor = (ink: string) => (lightness(ink) > 0.36 ? '#14181c' : '#ffffff');
