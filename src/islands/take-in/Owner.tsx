interface OwnerProps {
  readonly ownerId: number | null;
  readonly name: string;
  readonly contact: string;
}

/** Whose machine it is and how they are reached, with the way to their page. */
export function Owner({ ownerId, name, contact }: OwnerProps) {
  const words = [name, contact].filter((part) => part !== "").join(", ");
  if (ownerId === null || words === "") return null;
  return (
    <a
      className="ml-3 inline-flex min-h-11 items-center font-normal text-lg text-teal underline underline-offset-4"
      href={`/owners/${ownerId}`}
    >
      {words}
    </a>
  );
}
