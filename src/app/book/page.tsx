import { BookScreen } from '@/features/book';

export default function Page() {
  return <BookScreen />;
}
