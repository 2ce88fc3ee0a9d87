import type { components } from './generated/schema';

type Schemas = components['schemas'];

/** The contracts of the server, under the names that the interface uses. */
export type Setup = Schemas['Setup'];
export type SetupSummary = Schemas['SetupSummary'];
export type SetupDocument = Schemas['SetupDocument'];
export type SetupView = Schemas['SetupView'];
export type SetupEdit = Schemas['SetupEdit'];
export type PatchOperation = Schemas['PatchOperation'];
export type ControlView = Schemas['ControlView'];
export type ControlRow = Schemas['ControlRow'];
export type Announcement = Schemas['Announcement'];
export type AnnouncementSubject = Schemas['AnnouncementSubject'];
export type Channel = Schemas['Channel'];
export type BoardFunction = Schemas['BoardFunction'];
export type Finding = Schemas['Finding'];
export type BenchMessage = Schemas['BenchMessage'];
export type ArmGuards = Schemas['ArmGuards'];
export type TraceStop = Schemas['TraceStop'];
export type Station = Schemas['Station'];
export type Control = Schemas['Control'];
export type ControlUse = Schemas['ControlUse'];
export type ChainStep = Schemas['ChainStep'];
export type Source = Schemas['Source'];
export type Operand = Schemas['Operand'];
export type CurvePoint = Schemas['CurvePoint'];
export type Condition = Schemas['Condition'];
export type Test = Schemas['Test'];
export type ReadyMadeView = Schemas['ReadyMadeView'];
export type PromiseView = Schemas['PromiseView'];
export type PromiseState = Schemas['PromiseState'];
export type LossSettings = Schemas['LossSettings'];
export type LinkSettings = Schemas['LinkSettings'];
export type Parameter = Schemas['Parameter'];
