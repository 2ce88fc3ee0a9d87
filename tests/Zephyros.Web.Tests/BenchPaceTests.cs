using Zephyros.Web.Bench;

namespace Zephyros.Web.Tests;

/// <summary>When a page looks at its bench, on a clock that is set by hand.</summary>
public sealed class BenchPaceTests : IDisposable
{
    private readonly HandClock clock = new();
    private readonly CancellationTokenSource cancel = new();
    private readonly PaceThread thread;
    private readonly BenchPace pace;

    public BenchPaceTests()
    {
        thread = new PaceThread(clock);
        pace = new BenchPace(thread, cancel.Token);
    }

    public void Dispose()
    {
        pace.Dispose();
        thread.Dispose();
        cancel.Dispose();
    }

    [Fact]
    public void A_movement_brings_the_look_before_it_returns_and_the_clock_what_comes_after_the_last()
    {
        var look = AfterTwoInARow();
        // The next movement comes with the next picture of a browser; in between the clock is silent.
        Assert.InRange(pace.Next - thread.Now, BenchPace.Period, 2 * BenchPace.Period);
        clock.Passes(TimeSpan.FromMilliseconds(2));
        pace.Touch();
        Assert.False(look.IsCompleted);
        clock.Passes(TimeSpan.FromMilliseconds(15));
        pace.Touch();
        Assert.True(look.IsCompletedSuccessfully);
        look = pace.NextAsync();
        clock.Passes(2 * BenchPace.Period);
        pace.Go();
        Assert.True(look.IsCompletedSuccessfully);
        _ = pace.NextAsync();
        Assert.InRange(pace.Next - thread.Now, TimeSpan.Zero, BenchPace.Period);
    }

    // Hands and clock as they come, for a minute: a page that always looks again at once looks sixty times a second at the most.
    [Theory]
    [InlineData(1)]
    [InlineData(7)]
    [InlineData(15)]
    [InlineData(17)]
    [InlineData(40)]
    public void There_are_never_more_than_sixty_looks_a_second(int between)
    {
        var random = new Random(between);
        var (looks, passed) = (0, TimeSpan.Zero);
        var look = pace.NextAsync();
        while (passed < TimeSpan.FromMinutes(1))
        {
            var step = TimeSpan.FromMilliseconds(random.NextDouble() * 2 * between);
            passed += step;
            clock.Passes(step);
            if (random.Next(3) > 0)
                pace.Touch();
            else
                pace.Go();
            if (!look.IsCompleted)
                continue;
            looks++;
            look = pace.NextAsync();
        }

        Assert.InRange(looks, 60 * 1000 / (between + 17) / 3, 60 * 60 + 2);
    }

    [Fact]
    public async Task Whoever_waits_is_told_that_it_has_ended()
    {
        var look = AfterTwoInARow();
        await cancel.CancelAsync();
        Assert.False(await look);
        Assert.False(await pace.NextAsync());
    }

    // After a rest two movements bring a look at once, one of them early.
    private Task<bool> AfterTwoInARow()
    {
        clock.Passes(TimeSpan.FromSeconds(1));
        for (var i = 0; i < 2; i++)
        {
            var look = pace.NextAsync();
            pace.Touch();
            Assert.True(look.IsCompletedSuccessfully);
        }

        return pace.NextAsync();
    }
}
