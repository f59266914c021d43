import type { FormProps } from '../form';
import { ManyForm } from './many-form';

export const TagsForm = (props: FormProps) => <ManyForm {...props} field="tag" what="tags" label="Tag" />;
