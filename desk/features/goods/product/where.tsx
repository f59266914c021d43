import { Link } from 'react-router';
import type { ProductAnswer } from '../../../../contract/product';
import { useProductExposure } from '../../../data/exposure';
import { PlacesOfProduct, SeenBy } from '../../../shared/where-it-shows';
import { ProductChannels } from './channels';
import { Part } from './part';

/** Where shoppers meet a product, why there, and how often a visit sees it. */
export function Where({ answer }: { answer: ProductAnswer }) {
  const { id } = answer.product;
  const { data } = useProductExposure(id);
  return (
    <Part
      id="where"
      title="Where it shows"
      hint="once this is put live"
      aside={
        <Link to={`/shopfront?view=floor&lit=product:${id}`} className="font-semibold text-petrol hover:underline">
          On the floor plan
        </Link>
      }
    >
      <div className="grid gap-x-6 gap-y-3 xl:grid-cols-[minmax(0,1fr)_18rem]">
        <PlacesOfProduct places={answer.places} />
        {data && <SeenBy {...data} />}
      </div>
      <ProductChannels id={id} />
    </Part>
  );
}
