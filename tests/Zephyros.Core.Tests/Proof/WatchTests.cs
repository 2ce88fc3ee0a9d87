using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Tests.Proof;

/// <summary>What each promise makes of single changes, whatever setup they come from: every clause has rows of its own on both of its
/// sides. See <see cref="WatchedStep"/> for how a row is read.</summary>
public sealed class WatchTests
{
    private static readonly SignalPlan Plan = SignalPlan.Compile(Demo.Clean);

    private static readonly ulong Arm = Plan.Board.ArmBits;

    private static readonly Dictionary<string, string> Tables = new(StringComparer.Ordinal)
    {
        ["quiet-start"] = """
            0 PowerOn off > stands low => 0 *
            0 PowerOn off > stands silent => 0
            0 PowerOn off > stands/none silent => 0
            0 Input:Telemetry stands > stands => broken *
            0 Tremble stands > stands thrust => broken *
            0 RadioLost stands > stands radio=lost => 0 *
            0 TransmitterOff stands > stands radio=off => 0 *
            0 PowerOn off > idles low => broken *
            0 BoardTime stands > armed low => broken *
            0 BoardTime stands > spins low => broken *
            0 ModelTime stands > steers low silent => broken
            """,
        ["no-leap"] = """
            0 Input:Arms stands > idles low stick => 2
            0 Input:Arms stands > idles low => 1
            1 Input:ThrottleStick idles > idles low stick => 2
            2 Input idles > idles low => 2
            2 Input idles > stands stick => 0
            1 PowerOff idles > off silent => 0
            1 Input:ThrottleStick idles > thrusts up => broken *
            1 ModelTime idles > thrusts up => broken *
            1 Input:ThrottleStick idles > thrusts up stick => 2 *
            1 Input idles > thrusts thrust => 1 *
            1 Input idles > thrusts => broken *
            2 Input steers > thrusts up => 2 *
            2 Input stands > thrusts up => broken *
            2 Input stands > thrusts thrust stick => broken *
            2 Input armed > thrusts up => broken *
            2 ModelTime stands > thrusts up => 2 *
            2 Tremble stands > thrusts up => 2 *
            2 ModelTime stands > thrusts up missed => broken *
            2 RadioBack stands > thrusts up => broken *
            2 TransmitterOn stands > thrusts up => broken *
            2 RadioBack idles > thrusts up => 2 *
            1 BoardTime idles > thrusts/landing silent => 2
            1 BoardTime idles > thrusts/returning silent => 2
            1 BoardTime idles > thrusts/grace silent => 1
            1 BoardTime idles > thrusts/none silent => 1
            0 Input stands > turns up => 1
            1 Input idles > steers => 1
            """,
        ["throttle-low-at-arming"] = """
            0 Input:Arms stands > idles low => 0 *
            0 Input:Arms stands > idles => broken *
            0 Input:Arms stands > thrusts thrust => broken *
            0 ModelTime stands > armed => broken *
            0 Input idles > idles => 0
            0 Input idles > stands => 0
            """,
        ["no-delayed-arming"] = """
            0 Input:Arms stands > idles => 0 *
            0 Input:Consents stands > idles => 0 *
            0 RadioBack:Arms stands > idles missed => 0 *
            0 RadioBack:Arms stands > idles => broken *
            0 RadioBack:Consents stands > idles => broken *
            0 Input:ThrottleStick stands > idles => broken *
            0 Input:Telemetry stands > idles => broken *
            0 Input:Arms:ThrottleStick stands > idles => 0 *
            0 Input stands > idles => 0 *
            0 ModelTime stands > idles => broken *
            0 SlowStep stands > idles => broken *
            0 Tremble stands > idles => broken *
            0 BoardTime stands > idles => broken *
            0 RadioBack stands > idles => broken *
            0 TransmitterOn stands > idles => broken *
            0 PowerOn off > idles => broken *
            0 Turn stands > idles => broken *
            0 Cable stands > idles => broken *
            0 Fix stands > idles => broken *
            0 ModelTime idles > idles => 0
            0 ModelTime idles > stands => 0
            """,
        ["no-switch-adds-thrust"] = """
            0 Input idles > thrusts up => broken *
            0 Input idles > thrusts => broken *
            0 Input idles > thrusts thrust => 0 *
            0 Input:ThrottleStick idles > thrusts up => 0 *
            0 Input:Telemetry idles > thrusts up => broken *
            0 ModelTime steers > thrusts up => broken *
            0 Tremble idles > thrusts up => broken *
            0 Input armed > thrusts up => broken *
            0 Input thrusts > thrusts up => 0 *
            0 Input stands > thrusts up => 0 *
            0 RadioBack idles/grace > thrusts up => 0 *
            0 Input idles > turns up => 0
            0 BoardTime idles > thrusts/landing up => 0
            0 Input idles > steers up => 0
            """,
        ["no-accidental-stop"] = """
            0 Input thrusts > stands => broken *
            0 Input thrusts > armed => broken *
            0 Input:Stops thrusts > stands => 0 *
            0 Input:Telemetry thrusts > stands => broken *
            0 ModelTime thrusts > stands => broken *
            0 BoardTime thrusts > stands => broken *
            0 Turn thrusts > stands => broken *
            0 RadioBack thrusts > stands => broken *
            0 TransmitterOn thrusts > stands => 0 *
            0 RadioLost thrusts > stands radio=lost => 0 *
            0 TransmitterOff thrusts > stands radio=off => 0 *
            0 PowerOff thrusts > off => 0 *
            0 Input thrusts > idles => 0 *
            0 Input idles > stands => 0
            0 Input steers > stands => 0
            0 Input thrusts/landing > stands => 0
            """,
        ["loss-is-handled"] = """
            0 RadioLost idles > idles radio=lost silent => 0 *
            0 RadioLost idles > idles radio=lost => broken *
            0 TransmitterOff thrusts > thrusts radio=off => broken *
            0 RadioLost thrusts > stands radio=lost => 0 *
            0 RadioLost stands > stands radio=lost => 0
            0 Input idles > idles => 0
            0 BoardTime thrusts > stands? radio=lost silent => 1
            0 BoardTime thrusts > stands radio=lost silent => 1
            0 Input idles > stands => 0
            0 PowerOff idles > off silent => 0
            1 RadioBack stands? > stands? => 1
            1 RadioBack stands? > stands => 0
            1 Tremble stands? > stands? silent => 1
            1 RadioBack stands? > idles => broken
            1 Input stands? > armed silent => broken
            0 RadioBack stands? > idles => 0
            """,
        ["quiet-receiver"] = """
            0 RadioLost idles > idles? radio=lost low => 0 *
            0 RadioLost idles > idles? radio=lost => broken *
            0 RadioLost idles > idles radio=lost low => broken *
            0 PowerOn off > stands? radio=off low => broken *
            0 RadioLost idles > idles radio=lost silent => 0
            0 Input idles > idles => 0
            """,
        ["restart-stays-off"] = """
            0 PowerOn off > stands? low => 1
            0 PowerOn off > stands low => 0
            0 PowerOn off > stands silent => 1
            0 PowerOn off > idles low => broken *
            0 TransmitterOn stands? > stands? was=off => 1
            0 TransmitterOn off > off was=off silent => 0
            0 TransmitterOn idles > idles was=off => 0
            0 TransmitterOn stands > idles was=off => broken *
            1 Input stands? > idles => broken *
            1 Input stands? > stands? => 1
            1 Input stands? > stands => 0
            1 BoardTime stands? > stands silent => 1
            1 ModelTime idles > idles => broken
            0 Input:Arms stands > idles => 0 *
            """,
        ["one-control-arms"] = """
            0 Input:Arms stands > idles => 0 *
            0 Input:ThrottleStick stands > idles => 0 *
            0 Input stands > idles => broken *
            0 Input:OtherStick stands > idles => broken *
            0 Input:Consents stands!ConsentMissing > idles => 0 *
            0 Input:Consents stands > idles => broken *
            0 Input:Consents:Arms stands > idles => 0 *
            0 Input:Telemetry stands > idles => 0 *
            0 ModelTime stands > idles => 0 *
            0 Input idles > idles => 0
            """,
        ["safe-end-is-safe"] = """
            0 Input:ToSafeEnd stands > idles => broken *
            0 Input:ToSafeEnd idles > steers => broken *
            0 Input:ToSafeEnd steers > thrusts up => broken *
            0 Input:ToSafeEnd idles > thrusts => broken *
            0 Input:ToSafeEnd idles > thrusts thrust => 0 *
            0 Input:ToSafeEnd idles > idles => 0 *
            0 Input:ToSafeEnd thrusts > idles => 0 *
            0 Input:ToSafeEnd:NotToSafeEnd idles > thrusts up => 0 *
            0 Input:NotToSafeEnd idles > thrusts up => 0 *
            0 Input:ToSafeEnd idles > thrusts up trembles => 0 *
            0 ModelTime:ToSafeEnd idles > thrusts up => 0 *
            0 Input:ToSafeEnd stands > stands => 0
            0 Input:ToSafeEnd stands > spins => broken
            """,
        ["timers-kept"] = $"""
            0 Input:Telemetry idles > idles cues=1 sent={Arm} => broken *
            0 Input thrusts > thrusts cues=1 sent={Arm} => broken *
            0 ModelTime thrusts > thrusts radio=lost cues=1 sent={Arm} => broken *
            0 Input thrusts > thrusts radio=lost cues=1 => 1
            0 Input idles > stands cues=1 => 1
            0 Input stands > stands cues=1 sent={Arm} => 1
            1 Input:Telemetry idles > idles cues=1 sent={Arm} => 1 *
            1 Input:Telemetry idles > idles sent={Arm} => 0 *
            0 TransmitterOff idles > idles radio=off cues=1 sent={Arm} => 1
            """,
        ["thrust-stays"] = """
            0 Input thrusts > thrusts up => 1
            1 Input thrusts > thrusts thrust => 0
            0 Input thrusts > idles => 0
            1 Input thrusts > idles => broken *
            1 Input thrusts > steers => broken *
            1 Input:Telemetry thrusts > idles => broken *
            1 ModelTime thrusts > idles => broken *
            1 Input:ThrottleStick thrusts > idles => 0 *
            1 Input:EndsThrust thrusts > idles => 0 *
            1 RadioBack thrusts > idles => broken *
            1 TransmitterOn thrusts > idles => 0 *
            1 Input thrusts > stands => 0 *
            1 Input thrusts > armed => 0 *
            1 Input thrusts > turns up => 0 *
            1 BoardTime thrusts > thrusts/landing up => 0 *
            1 Input thrusts > thrusts silent => 1
            1 RadioLost thrusts > thrusts radio=lost => 1
            1 BoardTime thrusts > thrusts/grace silent => 0
            1 BoardTime thrusts > idles silent => 0
            """,
        ["thrust-by-stick-alone"] = """
            0 Input idles > thrusts up => 3 *
            3 Input thrusts > idles => 1 *
            3 Input idles > idles silent => 3 *
            3 BoardTime thrusts > thrusts/grace silent => 3 *
            3 Input thrusts > stands => 0
            1 BoardTime idles > thrusts/landing silent => 1 *
            1 BoardTime idles > thrusts/returning silent => 1 *
            0 BoardTime idles > thrusts/landing silent => broken *
            2 BoardTime idles > thrusts/returning silent => broken *
            0 BoardTime idles > thrusts/grace silent => broken *
            0 Input idles > turns up => 0 *
            1 RadioBack idles/grace > thrusts up => broken *
            1 RadioBack idles/grace > thrusts => broken *
            1 RadioBack idles/grace > thrusts thrust => 3 *
            2 RadioBack idles/grace > thrusts up => 3 *
            1 RadioBack:ThrottleStick idles/grace > thrusts up => 3 *
            1 BoardTime thrusts/landing > thrusts up => 3 *
            1 BoardTime steers/landing > thrusts up => broken *
            """,
        ["loss-in-time"] = """
            0 RadioLost idles > idles radio=lost => broken *
            0 TransmitterOff idles > idles radio=off => broken *
            0 RadioLost idles > idles radio=lost silent => 0 *
            0 RadioLost idles > idles/grace radio=lost => 0 *
            0 RadioLost idles > stands radio=lost => 0 *
            0 RadioLost stands > stands radio=lost => 0
            0 Input idles > idles => 0
            """,
        ["changes-announced"] = """
            512 PowerOn off > stands cues=1 => 1
            512 PowerOn off > idles cues=1 => 257
            0 Input stands > idles cues=1 => 257 *
            0 Input stands > idles => broken *
            1 Input stands > idles cues=1 => broken *
            0 Input stands > stands cues=1 => broken
            1 Input stands > stands cues=1 => 1
            257 Input idles > idles cues=1 => 257
            256 Input idles > idles => 256
            257 Input idles > stands => 0
            0 Input stands > idles radio=lost cues=1 => 1
            0 Input stands > idles/none cues=1 => 1
            0 RadioBack stands > idles was=lost => 256
            0 RadioBack stands/none > idles => 256
            """,
    };

    public static TheoryData<string> Watched => [.. Tables.Keys];

    [Theory]
    [MemberData(nameof(Watched))]
    public void Each_change_is_worth_what_its_row_says(string promise)
    {
        var check = Check(promise);
        Assert.All(
            Tables[promise].Split('\n').Select(WatchedStep.Parse),
            row =>
            {
                var watch = check.Watch();
                var after = watch.Next(row.Before, row.Change);
                Assert.True(
                    (after, watch.PremiseReached) == (row.After, row.Premise),
                    $"{row.Text.Trim()}, but it came out as {after}, premise {watch.PremiseReached}"
                );
            }
        );
    }

    [Fact]
    public void A_movement_of_a_control_that_arms_by_telemetry_is_no_hand()
    {
        Assert.True(WatchedStep.Parse("0 Input stands > idles => 0").Change.ByHand);
        Assert.False(WatchedStep.Parse("0 Input:Telemetry stands > idles => 0").Change.ByHand);
        Assert.False(WatchedStep.Parse("0 Tremble stands > idles => 0").Change.ByHand);
    }

    [Fact]
    public void What_is_moved_while_nothing_arrives_excuses_what_the_return_brings()
    {
        var excuses = Tables.Keys.ToDictionary(p => p, p => Check(p).Watch().Excuses);
        Assert.Equal(Roles.Arms | Roles.Consents, excuses["no-delayed-arming"]);
        Assert.Equal(Roles.ThrottleStick, excuses["no-switch-adds-thrust"]);
        Assert.Equal(Roles.Stops, excuses["no-accidental-stop"]);
        Assert.Equal(Roles.ThrottleStick | Roles.EndsThrust, excuses["thrust-stays"]);
        Assert.Equal(Roles.ThrottleStick, excuses["thrust-by-stick-alone"]);
        Assert.Equal(5, excuses.Count(e => e.Value != Roles.None));
    }

    // An announcement that a condition sets off is looked at; one by the board's report cannot be wrong.
    private static PromiseCheck Check(string promise) =>
        PromiseList
            .All.Single(p => p.Code == promise)
            .Checks(promise == "changes-announced" ? SignalPlan.Compile(ByCondition) : Plan)
            .First();

    private static Setup ByCondition { get; } =
        Demo.Clean.InModel(m =>
            m with
            {
                Announcements = m.Announcements.SetItems(
                    m.Announcements.Where(a => a.Value.About == AnnouncementSubject.Armed)
                        .Select(a => KeyValuePair.Create(a.Key, a.Value with { When = "limiter-on" }))
                ),
            }
        );
}
