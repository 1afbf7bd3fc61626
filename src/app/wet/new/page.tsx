import { GatherScreen } from '@/features/wet';

interface Props {
  searchParams: Promise<{ coat?: string }>;
}

export default async function Page({ searchParams }: Props) {
  return <GatherScreen coatId={(await searchParams).coat ?? ''} />;
}
