/** The cards are dark by day and by night, so that the figures stand out from across the table. */
export const NIGHT = '#1F2B3A';
export const LAMP = '#F7F2E8';
export const YELLOW = '#EFBF45';

export const GREY = '#B4BCC6';
