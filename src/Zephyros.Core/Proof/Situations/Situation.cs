using Zephyros.Core.Board;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Reduced;

namespace Zephyros.Core.Proof.Situations;

/// <summary>Everything in a state of the proof but the positions of the inputs and the model's memory.</summary>
/// <param name="Board">The board.</param>
/// <param name="Radio">Whether the transmitter reaches the receiver.</param>
/// <param name="Linked">True when the receiver has had a frame by radio since it got power.</param>
/// <param name="Held">The number of the reading that a receiver without radio goes on sending; 0 when there is none.</param>
/// <param name="Lies">How the craft lies.</param>
/// <param name="Usb">Whether the board is connected for configuration.</param>
/// <param name="Fix">True while the board has a position fix; only looked at where a promise asks for it.</param>
/// <param name="Monitor">What the promise remembers.</param>
/// <param name="Excused">True when, since the transmitter last reached the receiver, a control was moved that excuses what its return
/// brings; see <see cref="Watch.Excuses"/>.</param>
/// <param name="Trembled">True when the last reading lay beside what is sent; only where a promise asks.</param>
/// <param name="Timers">Which waits of the model began before each time that the board counts, see <see cref="TimerOrder"/>; 0 where the
/// model counts none.</param>
public readonly record struct Situation(
    BoardState Board,
    RadioState Radio,
    bool Linked,
    int Held,
    Orientation Lies,
    UsbState Usb,
    bool Fix,
    int Monitor,
    bool Excused = false,
    bool Trembled = false,
    int Timers = 0
);
