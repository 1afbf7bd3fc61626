import Link from 'next/link';

export default function NotFound() {
  return (
    <p>
      There is no such page. <Link href="/">Today</Link>
    </p>
  );
}
