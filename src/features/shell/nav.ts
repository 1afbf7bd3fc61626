import {
  CalendarClock,
  Layers,
  NotebookPen,
  Settings2,
  TestTubes,
  Thermometer,
} from 'lucide-react';

/** Places on the rail; each loads when it is visited. */
export const PLACES = [
  { href: '/', label: 'Today', icon: CalendarClock },
  { href: '/pieces', label: 'Pieces', icon: Layers },
  { href: '/resins', label: 'Resins', icon: TestTubes },
  { href: '/room', label: 'Room', icon: Thermometer },
  { href: '/book', label: 'Book', icon: NotebookPen },
  { href: '/settings', label: 'Settings', icon: Settings2 },
] as const;
