import { Box } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { PageHeading } from '@/ui/PageHeading';

/** An address that leads nowhere. */
export function NoPlace() {
  return (
    <Box>
      <PageHeading title="There is no such place" mb="2" />
      <Link href="/">Today</Link>
    </Box>
  );
}
