import { familiesOf, lookProperties } from '../core/look/properties';
import type { Look } from '../core/model/look';
import { loadFamily } from './fonts/load-family';

/** Gives the page another look than it came with: while one is chosen in the desk, each choice is seen at once. */
export default function drawLook(look: Look): void {
  for (const family of familiesOf(look)) void loadFamily(family);
  for (const [name, value] of Object.entries(lookProperties(look)))
    document.documentElement.style.setProperty(name, value);
}
