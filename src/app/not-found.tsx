import { NoPlace } from '@/features/shell';

export default function NotFound() {
  return <NoPlace />;
}
