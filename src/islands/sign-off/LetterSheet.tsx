import type { Letter } from "@/letter/letter";

function Head({ letter }: { readonly letter: Letter }) {
  return (
    <header className="flex flex-wrap justify-between gap-x-6">
      <div>
        <p className="font-bold text-xl">{letter.shopName}</p>
        <p>{letter.address}</p>
        <p>{letter.telephone}</p>
      </div>
      <p className="text-right">
        Job <b className="num">{letter.jobId}</b>
        <br />
        {letter.day}
      </p>
    </header>
  );
}

function Cost({ bill }: Pick<Letter, "bill">) {
  return (
    <section className="mt-3">
      <h2 className="font-semibold">What it costs</h2>
      <table className="w-full max-w-[420px]">
        <tbody>
          {bill.map(({ label, amount }, at) => (
            <tr key={label} className={at === bill.length - 1 ? "border-ink border-t font-bold" : ""}>
              <td className="py-0.5 pr-6">{label}</td>
              <td className="num py-0.5 text-right">{amount}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** The letter to the owner: one page, as it is printed. */
export function LetterSheet({ letter }: { readonly letter: Letter }) {
  const isUnsafe = letter.word === "do-not-use";
  return (
    <article aria-label="Letter to the owner" className="mx-auto max-w-[760px] leading-snug">
      <Head letter={letter} />
      <p className="mt-5" dir="auto">
        {letter.to === "" ? letter.machine : `To ${letter.to}: ${letter.machine}`}
      </p>
      <div className={`mt-2 ${isUnsafe ? "hatched border-2 border-ink p-2" : ""}`}>
        <h1
          className={`font-bold text-[28px] leading-tight ${isUnsafe ? "bg-paper px-4 py-3" : ""}`}
          data-testid="sheet-word"
        >
          {letter.headline}
        </h1>
      </div>
      {letter.parts.map(({ title, sentences }) => (
        <section key={title} className="mt-3">
          <h2 className="font-semibold">{title}</h2>
          {sentences.map((one) => (
            <p key={one}>{one}</p>
          ))}
        </section>
      ))}
      <Cost bill={letter.bill} />
      <p className="mt-4 text-[15px] text-soft">{letter.signature}</p>
      <aside
        aria-label="Card for the machine"
        className="mt-4 border border-ink border-dashed p-3 text-[15px]"
      >
        {letter.card.map((line, at) => (
          <p key={line} className={at === 0 ? "font-semibold" : ""}>
            {line}
          </p>
        ))}
      </aside>
    </article>
  );
}
