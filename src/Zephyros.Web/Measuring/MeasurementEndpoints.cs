using Zephyros.Core.Evidence;
using Zephyros.Core.Setups;
using Zephyros.Storage;
using Zephyros.Web.Contracts;
using Zephyros.Web.Problems;
using Zephyros.Web.Setups;

namespace Zephyros.Web.Measuring;

/// <summary>The record of measurements, and whether one still stands. Each names the revision that it was made on: what was changed
/// after that makes it stale, whenever it is recorded.</summary>
internal static class MeasurementEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(RouteGroupBuilder setups)
    {
        setups.MapGet("/{id}/measurements", List).WithName("ListMeasurements").Finds<MeasurementView[]>();
        setups
            .MapPost("/{id}/measurements", RecordAsync)
            .WithName("RecordMeasurement")
            .Accepts<MeasurementRecord>("application/json")
            .Answers<MeasurementView>();
        setups
            .MapPost("/{id}/measurement-changes", ChangesAsync)
            .WithName("ChangesSinceMeasurement")
            .Accepts<MeasurementRecord>("application/json")
            .Answers<string[]>();
    }

    private static IResult List(string id, SetupStore store, EvidenceStore evidence) =>
        Asking.Answer(
            store,
            id,
            setup =>
                TypedResults.Ok(
                    evidence.List<MeasurementRecord>(id, EvidenceKind.Measurement).Select(m => View(m, setup)).ToArray()
                )
        );

    private static Task<IResult> RecordAsync(
        HttpContext context,
        string id,
        int revision,
        SetupStore store,
        EvidenceStore evidence
    ) =>
        BasedAsync(
            context,
            id,
            revision,
            store,
            (record, basis, setup) =>
                TypedResults.Ok(View(evidence.Add(id, EvidenceKind.Measurement, record, basis), setup))
        );

    private static Task<IResult> ChangesAsync(HttpContext context, string id, int revision, SetupStore store) =>
        BasedAsync(
            context,
            id,
            revision,
            store,
            (record, basis, setup) => TypedResults.Ok(EvidenceBasis.Changed(setup, record, basis))
        );

    private static Task<IResult> BasedAsync(
        HttpContext context,
        string id,
        int revision,
        SetupStore store,
        Func<MeasurementRecord, IReadOnlyList<BasisPart>, Setup, IResult> answer
    ) =>
        Asking.AnswerAsync<MeasurementRecord>(
            context,
            store,
            id,
            (record, setup) =>
                store.At(id, revision) is { } measured
                    ? answer(record, EvidenceBasis.OfMeasurement(measured, record), setup)
                    : Problem.NotFound($"There is no revision {revision} of \"{id}\".")
        );

    private static MeasurementView View(StoredEvidence<MeasurementRecord> kept, Setup setup) =>
        new(kept.Id, kept.TakenAt, kept.Record, EvidenceBasis.Changed(setup, kept.Record, kept.Basis));
}
