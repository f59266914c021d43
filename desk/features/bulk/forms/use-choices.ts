import { useGoodsFields } from '../../../data/goods';

/** Choices of a field such as category, with how deep they lie taken from the name alone. */
export function useChoices(key: string) {
  const { fields } = useGoodsFields();
  return fields.find((field) => field.key === key)?.choices ?? [];
}
