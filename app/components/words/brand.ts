export const brand = {
  name: 'Venalis',
};
