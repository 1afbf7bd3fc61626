import { SheetScreen } from '@/features/resins';

interface Props {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ saved?: string }>;
}

export default async function Page({ params, searchParams }: Props) {
  const { saved } = await searchParams;
  return <SheetScreen resinId={(await params).id} justSaved={saved !== undefined} />;
}
