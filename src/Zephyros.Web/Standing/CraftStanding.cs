using System.Runtime.CompilerServices;
using Zephyros.Core.Evidence;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Verdicts;
using Zephyros.Core.Work;
using Zephyros.Storage;
using Zephyros.Web.Contracts;
using Zephyros.Web.Proofs;
using Zephyros.Web.Setups;

namespace Zephyros.Web.Standing;

/// <summary>How a craft stands: brings together what the rules find, what the proof says and what was done at the bench.</summary>
internal sealed class CraftStanding(SetupStore setups, EvidenceStore evidence, KnownFindings findings, ProofRuns runs)
{
    /// <summary>The kinds of evidence that are ticks.</summary>
    private static readonly EvidenceKind[] TickKinds = [EvidenceKind.Stored, EvidenceKind.ReadBack, EvidenceKind.Tried];

    // Goes with its setup. What it rests on is kept beside it.
    private sealed record KnownWork(
        (string Names, VerdictWord Word, string Headline, int Proven, int Promises, long Evidence) RestsOn,
        WorkList Work
    );

    private readonly ConditionalWeakTable<Setup, KnownWork> known = [];

    /// <summary>The verdict; begins the proof when there is none.</summary>
    public VerdictView Verdict(StoredSetup stored)
    {
        var run = runs.Enter(stored.Id);
        var view = Verdict(stored, run, findings.Told(stored.Setup));
        if (view.Running || run is null || !view.Verdict.Entries.Any(e => e.Promises.Count > 0))
            return view;
        // A search that failed or was ended has found nothing.
        var fixes = run.Fixes();
        return fixes.IsCompletedSuccessfully
            ? view with
            {
                Verdict = view.Verdict.With(fixes.Result),
            }
            : view with
            {
                Searching = !fixes.IsCompleted,
            };
    }

    /// <summary>What remains to be done.</summary>
    public WorkView Work(StoredSetup stored)
    {
        var verdict = Verdict(stored);
        return new WorkView(stored.Revision, verdict.Running, Work(stored, verdict.Verdict, setups.List()));
    }

    /// <summary>All craft as the hangar lists them. What is not proven yet waits until others are.</summary>
    public SetupSummary[] Summaries()
    {
        var all = setups.List();
        return [.. all.Select(stored => Summary(stored, all))];
    }

    private SetupSummary Summary(StoredSetup stored, IReadOnlyList<StoredSetup> all)
    {
        var setup = stored.Setup;
        var (_, running, _, verdict) = Verdict(
            stored,
            runs.Glance(stored),
            // Fixes are nothing that a hangar shows.
            ToldFindings.Of(findings.Untried(setup))
        );
        var work = Work(stored, verdict, all);
        return new SetupSummary(
            stored.Id,
            setup.Craft.Name,
            setup.Craft.Summary,
            setup.Transmitter.Name,
            stored.Revision,
            stored.SavedAt,
            verdict.Word,
            verdict.Headline,
            running,
            [.. verdict.Entries.Select(e => new VerdictLine(e.Title, e.Level, e.Station))],
            work.Done,
            work.Needed,
            work.Steps.FirstOrDefault(s => s.Id == work.Next)?.Name
        );
    }

    private VerdictView Verdict(StoredSetup stored, ProofRun? run, ToldFindings told)
    {
        // A run may be of a newer revision than the one at hand; it says nothing of this one.
        var running = true;
        var standings =
            run is not null && run.Revision == stored.Revision ? run.Standings(out running) : runs.Known(stored.Setup);
        return new VerdictView(stored.Revision, running, Searching: false, CraftVerdict.Of(told, standings, running));
    }

    // A hangar asks again and again while proofs go on, and little of it changes.
    private WorkList Work(StoredSetup stored, CraftVerdict verdict, IReadOnlyList<StoredSetup> all)
    {
        var names = string.Join('\n', all.Select(o => $"{o.Setup.Craft.Name}\t{o.Setup.Model.Name}"));
        var rests = (
            names,
            verdict.Word,
            verdict.Headline,
            verdict.Proven,
            verdict.Promises,
            evidence.Newest(stored.Id)
        );
        var (basis, work) = known.GetValue(stored.Setup, _ => new(rests, Derived(stored, verdict, all)));
        if (basis == rests)
            return work;
        known.AddOrUpdate(stored.Setup, new(rests, work = Derived(stored, verdict, all)));
        return work;
    }

    private WorkList Derived(StoredSetup stored, CraftVerdict verdict, IReadOnlyList<StoredSetup> all)
    {
        var (id, setup) = (stored.Id, stored.Setup);
        return WorkList.Of(
            new WorkFacts(
                SignalPlan.Compile(setup),
                findings.Untried(setup),
                verdict,
                [
                    .. evidence
                        .List<BindRecord>(id, EvidenceKind.Bind)
                        .Select(b => new Kept<BindRecord>(b.Record, b.TakenAt, EvidenceBasis.Changed(setup, b.Basis))),
                ],
                [
                    .. evidence
                        .List<MeasurementRecord>(id, EvidenceKind.Measurement)
                        .Select(m => new Kept<MeasurementRecord>(
                            m.Record,
                            m.TakenAt,
                            EvidenceBasis.Changed(setup, m.Record, m.Basis)
                        )),
                ],
                [
                    .. TickKinds
                        .SelectMany(kind => evidence.List<TickRecord>(id, kind))
                        .OrderByDescending(t => t.Id)
                        .Select(t => new Ticked(t.Record, t.TakenAt, t.Basis)),
                ],
                [.. all.Where(o => o.Id != id).Select(o => (o.Setup.Craft.Name, o.Setup.Model.Name))]
            )
        );
    }
}
