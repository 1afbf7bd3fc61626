export const shown = 'the book';
