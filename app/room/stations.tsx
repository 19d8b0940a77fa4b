import Tune from '@mui/icons-material/TuneOutlined';
import PushPin from '@mui/icons-material/PushPinOutlined';
import ContentCut from '@mui/icons-material/ContentCutOutlined';
import type { ComponentType, ReactNode } from 'react';
import type { BoardLayer, Drawn } from '../board/drawn-board.js';
import { PIECES, PIECES_IN_HAND } from '../board/layers.js';
import { onDemand } from '../shared/on-demand.js';
import { GarmentIcon, PieceIcon, TapeIcon, WalkedIcon } from '../shared/trade-icons.js';
import type { RoomId } from '../store/rooms.js';

/** What a view draws on the board, in screen coordinates. */
type Drawing = (drawn: Drawn) => ReactNode;

/** Lays the board beside a view: with what is drawn in the place of the pieces, and above them. */
export type BoardMaker = (instead?: Drawing, above?: Drawing) => ReactNode;

/** What may be opened from a station in the place of its bench: it has an address of its own. */
interface ViewEntry {
  readonly id: string;
  readonly label: string;
  readonly View: ComponentType<{ readonly board: BoardMaker }>;
  /** Whether the checks lie at its foot; not where they have nothing to say. */
  readonly tape?: false;
}

/** What a station that lays its own room is given. */
interface PlaceProps {
  readonly room: RoomId;
  readonly benchOpen: boolean;
  readonly board: ReactNode;
}

/** A station in the order of work: a bench beside the board, or a room of its own, and the views opened from it. */
interface StationEntry {
  readonly id: string;
  readonly label: string;
  readonly key: string;
  readonly Icon: typeof Tune;
  readonly Bench?: ComponentType;
  readonly Place?: ComponentType<PlaceProps>;
  /** What the station lays on the board, from the lowest up; the pieces as they lie, where it says nothing. */
  readonly layers?: readonly BoardLayer[];
  readonly views: readonly ViewEntry[];
}

const PinLayer = onDemand(() => import('../toile/PinLayer.js').then((m) => ({ default: m.PinLayer })));
const TrueLayer = onDemand(() => import('../true/TrueLayer.js').then((m) => ({ default: m.TrueLayer })));

/**
 * The stations that exist so far, in the order of work, each with its key and its views: routes, walk, find and keys
 * read them here, and nowhere else is one declared.
 */
export const STATIONS = [
  {
    id: 'measure',
    label: 'Measure',
    key: '1',
    Icon: TapeIcon,
    Place: onDemand(() => import('../measure/MeasureStation.js').then((m) => ({ default: m.MeasureStation }))),
    views: [],
  },
  {
    id: 'choose',
    label: 'Choose',
    key: '2',
    Icon: Tune,
    Bench: onDemand(() => import('../choose/ChooseBench.js').then((m) => ({ default: m.ChooseBench }))),
    views: [
      {
        id: 'advise',
        label: 'Which method',
        View: onDemand(() => import('../advise/AdviseView.js').then((m) => ({ default: m.AdviseView }))),
        tape: false,
      },
      {
        id: 'compare',
        label: 'Compare methods and drafts',
        View: onDemand(() => import('../compare/CompareView.js').then((m) => ({ default: m.CompareView }))),
      },
      {
        id: 'steps',
        label: 'Worked steps',
        View: onDemand(() => import('../steps/StepsView.js').then((m) => ({ default: m.StepsView }))),
      },
      {
        id: 'sheet',
        label: 'Method sheet',
        View: onDemand(() => import('../sheet/SheetView.js').then((m) => ({ default: m.SheetView }))),
        tape: false,
      },
    ],
  },
  {
    id: 'draft',
    label: 'Draft',
    key: '3',
    Icon: PieceIcon,
    Bench: onDemand(() => import('../board/DraftBench.js').then((m) => ({ default: m.DraftBench }))),
    layers: PIECES_IN_HAND,
    views: [],
  },
  {
    id: 'true',
    label: 'True',
    key: '4',
    Icon: WalkedIcon,
    Bench: onDemand(() => import('../true/TrueBench.js').then((m) => ({ default: m.TrueBench }))),
    layers: [...PIECES, TrueLayer],
    views: [
      {
        id: 'it',
        label: 'True it',
        View: onDemand(() => import('../true/TrueItView.js').then((m) => ({ default: m.TrueItView }))),
      },
      {
        id: 'walk',
        label: 'Walk the seams',
        View: onDemand(() => import('../true/WalkView.js').then((m) => ({ default: m.WalkView }))),
      },
      {
        id: 'curve',
        label: 'The body’s curve',
        View: onDemand(() => import('../true/CurveView.js').then((m) => ({ default: m.CurveView }))),
      },
      {
        id: 'outline',
        label: 'Outline from a file',
        View: onDemand(() => import('../true/reference/ReferenceView.js').then((m) => ({ default: m.ReferenceView }))),
      },
      {
        id: 'report',
        label: 'Check report',
        View: onDemand(() => import('../true/ReportView.js').then((m) => ({ default: m.ReportView }))),
        tape: false,
      },
    ],
  },
  {
    id: 'finish',
    label: 'Finish',
    key: '5',
    Icon: GarmentIcon,
    Place: onDemand(() => import('../finish/FinishStation.js').then((m) => ({ default: m.FinishStation }))),
    views: [],
  },
  {
    id: 'cut',
    label: 'Cut',
    key: '6',
    Icon: ContentCut,
    Place: onDemand(() => import('../cut/CutStation.js').then((m) => ({ default: m.CutStation }))),
    views: [
      {
        id: 'chalk',
        label: 'Chalk sheet',
        View: onDemand(() => import('../cut/ChalkView.js').then((m) => ({ default: m.ChalkView }))),
        tape: false,
      },
      {
        id: 'ready',
        label: 'Ready to cut',
        View: onDemand(() => import('../cut/ReadyView.js').then((m) => ({ default: m.ReadyView }))),
        tape: false,
      },
      {
        id: 'lay',
        label: 'Lay on cloth',
        View: onDemand(() => import('../cut/LayView.js').then((m) => ({ default: m.LayView }))),
        tape: false,
      },
      {
        id: 'make',
        label: 'Make sheet',
        View: onDemand(() => import('../cut/MakeView.js').then((m) => ({ default: m.MakeView }))),
        tape: false,
      },
      {
        id: 'spec',
        label: 'Spec sheet',
        View: onDemand(() => import('../cut/SpecView.js').then((m) => ({ default: m.SpecView }))),
        tape: false,
      },
      {
        id: 'many',
        label: 'Many bodies',
        View: onDemand(() => import('../batch/BatchView.js').then((m) => ({ default: m.BatchView }))),
        tape: false,
      },
    ],
  },
  {
    id: 'toile',
    label: 'Toile',
    key: '7',
    Icon: PushPin,
    Bench: onDemand(() => import('../toile/ToileBench.js').then((m) => ({ default: m.ToileBench }))),
    layers: [...PIECES, PinLayer],
    views: [
      {
        id: 'fitting',
        label: 'Fitting sheet',
        View: onDemand(() => import('../toile/FittingSheet.js').then((m) => ({ default: m.FittingSheet }))),
        tape: false,
      },
      {
        id: 'virtual',
        label: 'Virtual toile',
        View: onDemand(() => import('../virtual/VirtualToileView.js').then((m) => ({ default: m.VirtualToileView }))),
        tape: false,
      },
    ],
  },
] as const satisfies readonly StationEntry[];

/** The name of a view that is opened from a station. */
export type ViewId = (typeof STATIONS)[number]['views'][number]['id'];

/** The name of a station. */
export type StationId = (typeof STATIONS)[number]['id'];

/** A station by its name. */
export const stationNamed = (id: StationId): StationEntry => STATIONS.find((s) => s.id === id) ?? STATIONS[2];

/** The station named in an address; anything else is the draft. */
export const stationOf = (name: string | undefined): StationId => STATIONS.find((s) => s.id === name)?.id ?? 'draft';

/** The view of a station that is named in an address, if it has one of that name. */
export const viewOf = (station: StationId, name: string | undefined): ViewEntry | undefined =>
  stationNamed(station).views.find((v) => v.id === name);

/** Every view with the station that it is opened from. */
export const VIEWS: readonly (ViewEntry & { readonly id: ViewId; readonly station: StationId })[] = STATIONS.flatMap(
  (s) => s.views.map((view) => ({ ...view, station: s.id })),
);
