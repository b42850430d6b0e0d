import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import GripVertical from "lucide-react/icons/grip-vertical";
import type { ToPutBack } from "@/core/job/reassembly/put-back";
import type { Protection } from "@/core/knowledge/types";
import { offWords } from "@/words/put-back";
import { Problem } from "../fields/Problem";
import type { JobScreen } from "../frame/use-job-screen";
import { usePost } from "../state/use-post";
import { OffLine } from "./OffLine";

interface ListProps {
  readonly screen: JobScreen;
  readonly order: readonly ToPutBack[];
  readonly current: ToPutBack | undefined;
  readonly carries: readonly string[];
  readonly protections: readonly Protection[];
  readonly onPin?: ((line: number) => void) | undefined;
}

type RowProps = Omit<ListProps, "order"> & { readonly one: ToPutBack };

/** A line that can be moved by its handle, with the pointer or with Space and the arrow keys. */
function Movable({ one, screen, current, carries, protections, onPin }: RowProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: one.seq,
  });
  const off = screen.job.removed.find(({ seq }) => seq === one.line);
  const handle = (
    <button
      type="button"
      className="grid h-11 w-11 shrink-0 cursor-grab touch-none place-items-center text-soft"
      aria-label={`Move: ${off ? offWords(off) : ""}`}
      {...attributes}
      {...listeners}
    >
      <GripVertical size={22} aria-hidden="true" />
    </button>
  );
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={isDragging ? "relative z-10 bg-sheet shadow-lg" : ""}
    >
      <OffLine
        screen={screen}
        one={one}
        isNow={one === current}
        carries={carries}
        protections={protections}
        onPin={onPin}
        handle={handle}
      />
    </li>
  );
}

/** All that came off, reversed; what is still off can be moved to where it goes back. */
export function OffList({ screen, order, current, carries, protections, onPin }: ListProps) {
  const { job } = screen;
  const { post, problem } = usePost(job.jobId);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const isOff = (one: ToPutBack): boolean =>
    one.line !== null && job.removed.find(({ seq }) => seq === one.line)?.refit === null;
  const movable = order.filter(isOff).map(({ seq }) => seq);
  const onDragEnd = ({ active, over }: DragEndEvent): void => {
    if (!over || active.id === over.id) return;
    const moved = arrayMove(movable, movable.indexOf(Number(active.id)), movable.indexOf(Number(over.id)));
    const done = order.filter((one) => one.line !== null && !isOff(one)).map(({ seq }) => seq);
    void post({ kind: "reordered", stage: "put-back", payload: { lines: [...done, ...moved] } });
  };
  return (
    <DndContext id="put-back" sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
      <SortableContext items={movable} strategy={verticalListSortingStrategy}>
        <ol aria-label="To put back">
          {order.map((one) =>
            isOff(one) && movable.length > 1 ? (
              <Movable
                key={one.seq}
                screen={screen}
                one={one}
                current={current}
                carries={carries}
                protections={protections}
                onPin={onPin}
              />
            ) : (
              <li key={one.seq}>
                <OffLine
                  screen={screen}
                  one={one}
                  isNow={one === current}
                  carries={carries}
                  protections={protections}
                  onPin={onPin}
                />
              </li>
            ),
          )}
        </ol>
      </SortableContext>
      <Problem text={problem} />
    </DndContext>
  );
}
