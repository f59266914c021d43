import type { FormProps } from '../form';
import { ManyForm } from './many-form';

export const CategoriesForm = (props: FormProps) => (
  <ManyForm {...props} field="category" what="categories" label="Category" />
);
