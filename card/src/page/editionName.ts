interface Named {
  brewerName: string;
  /** Empty where it was given none. */
  name: string;
}

/** What an edition is called: its brewer, and the name it was given where there is one. */
export const editionName = ({ brewerName, name }: Named): string =>
  name === '' ? brewerName : `${brewerName}: ${name}`;
