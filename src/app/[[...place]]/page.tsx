import { notFound } from 'next/navigation';
import { placeAt } from '../paths';
import { Place } from '../Place';

interface Props {
  readonly params: Promise<{ place?: readonly string[] }>;
}

/** One page for every place: the browser draws it, so that none needs the server. */
export default async function Page({ params }: Props) {
  if (!placeAt(`/${((await params).place ?? []).join('/')}`)) notFound();
  return <Place />;
}
