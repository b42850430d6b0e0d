import type { UseFormReturn } from "react-hook-form";
import { formatDay } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { Fold } from "../fields/Fold";
import { request } from "../state/api";
import { MoneyPart } from "./DoorPart";
import { Earlier } from "./Earlier";
import type { TakeInForm as Form } from "./form";
import { Text } from "./Text";
import { useFound } from "./use-found";

interface PartProps {
  readonly form: UseFormReturn<Form>;
  readonly shop: Shop;
  readonly isNew: boolean;
}

const findOwners = async (find: string) => {
  const found = await request("GET /api/owners", { query: { find } });
  return found.ok ? found.value.owners : [];
};

/** Owners of this name who were here before; one of them is the same person, not a new one. */
function OwnersFound({ form }: Pick<PartProps, "form">) {
  const [name, ownerId] = form.watch(["ownerName", "ownerId"]);
  const hits = useFound(ownerId === null ? name : "", findOwners);
  if (ownerId !== null)
    return (
      <p className="mt-1 flex flex-wrap items-center gap-3">
        In the book already.
        <button
          type="button"
          className="min-h-11 text-teal underline underline-offset-4"
          onClick={() => form.setValue("ownerId", null)}
        >
          It is someone else
        </button>
      </p>
    );
  if (hits.length === 0) return null;
  return (
    <ul aria-label="Owners in the book" className="sheet mt-1 px-3">
      {hits.map(({ ownerId: id, name: known, jobs, machine, touchedAt }) => (
        <li key={id} className="flex flex-wrap items-center gap-2 border-rule border-t py-1 first:border-t-0">
          <span className="grow">
            <b>{known}</b>
            <span className="text-soft">
              {" "}
              · {machine}, {formatDay(touchedAt.slice(0, 10))}
              {jobs > 1 ? ` · ${jobs} jobs` : ""}
            </span>
          </span>
          <button
            type="button"
            className="btn btn-outline"
            onClick={() => {
              form.setValue("ownerName", known, { shouldDirty: true });
              form.setValue("ownerId", id, { shouldDirty: true });
            }}
          >
            Theirs
          </button>
        </li>
      ))}
    </ul>
  );
}

/** Which machine, whose it is and where it stands; what is said of money is folded. */
export function MachinePart({ form, shop, isNew }: PartProps) {
  const [ceiling, fee, deposit, tag] = form.watch(["ceiling", "fee", "deposit", "tag"]);
  const { currency } = shop.settings;
  const said = [
    ceiling ? `ring above ${ceiling} ${currency}` : "",
    fee ? `fee ${fee}` : "",
    deposit ? `deposit ${deposit}` : "",
    tag ? `tag ${tag}` : "",
  ].filter((one) => one !== "");
  return (
    <section aria-label="Machine and owner">
      <h2 className="mb-2 font-bold text-lg">Machine and owner</h2>
      <div className="grid gap-x-4 gap-y-3 sm:grid-cols-2">
        <Text
          form={form}
          name="machine"
          label="Machine"
          placeholder="Honey extractor"
          className="sm:col-span-2"
        />
        {isNew ? (
          <div className="sm:col-span-2 empty:hidden">
            <Earlier form={form} shop={shop} />
          </div>
        ) : null}
        {isNew ? (
          <div>
            <Text form={form} name="ownerName" label="Owner" />
            <OwnersFound form={form} />
          </div>
        ) : null}
        {isNew ? (
          <Text form={form} name="ownerContact" label="Reached by" placeholder="message, evenings" />
        ) : null}
        <Text form={form} name="place" label="Stands at" placeholder="left bench" />
      </div>
      <div className="mt-3">
        <Fold title="Tag, money, recall" holds={said.join(", ")}>
          <Text form={form} name="tag" label="Tag hung on it" hint="Beside the job number." />
          <MoneyPart form={form} shop={shop} />
        </Fold>
      </div>
    </section>
  );
}
