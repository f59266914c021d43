import type { ComponentType } from 'react';
import type { BulkKey } from '../../../../core/bulk/bulk-actions';
import type { RequestInput } from '../../../data/bulk';
import type { FormProps } from '../form';
import { BrandForm } from './brand-form';
import { CategoriesForm } from './categories-form';
import { DaysForm } from './days-form';
import { DeliveryForm } from './delivery-form';
import { FeaturedForm } from './featured-form';
import { PicturesForm } from './pictures-form';
import { PriceForm } from './price-form';
import { SaleForm } from './sale-form';
import { SpecsForm } from './specs-form';
import { StatusForm } from './status-form';
import { StockForm } from './stock-form';
import { SupplierForm } from './supplier-form';
import { TagsForm } from './tags-form';
import { TaxClassForm } from './tax-class-form';

/** By bulk action: the form in which it is filled in, or the request where nothing is left to say. */
export const bulkForms: { [Key in BulkKey]: ComponentType<FormProps> | RequestInput } = {
  price: PriceForm,
  sale: SaleForm,
  stock: StockForm,
  status: StatusForm,
  days: DaysForm,
  featured: FeaturedForm,
  categories: CategoriesForm,
  tags: TagsForm,
  brand: BrandForm,
  supplier: SupplierForm,
  taxClass: TaxClassForm,
  specs: SpecsForm,
  delivery: DeliveryForm,
  pictures: PicturesForm,
  delete: { do: 'delete' },
};
