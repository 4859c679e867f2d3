using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Views.Looks;

/// <summary>Where the forms and links of a look's page lead. The host makes them: on a server its router, in a browser something
/// else.</summary>
public interface ILookAddresses
{
    /// <summary>The look itself.</summary>
    string Look { get; }

    /// <summary>The course of the look, drawn.</summary>
    string Meshes { get; }

    /// <summary>The tree: all its visits, what is thought of it, when to come back.</summary>
    string Tree { get; }

    /// <summary>The pictures kept with the look.</summary>
    string Pictures { get; }

    /// <summary>Plants side by side.</summary>
    string Beside { get; }

    /// <summary>The measuring board, which gives what it measures to the look.</summary>
    string Board { get; }

    /// <summary>The words of the flora.</summary>
    string Words { get; }

    /// <summary>The address that asks for one character, perhaps at a place on the plant.</summary>
    string Ask(Character character, PlantPlace? on = null) =>
        $"{Look}?ask={Uri.EscapeDataString(character.Id)}{(on is { } place ? $"&on={place.Word()}" : "")}";

    /// <summary>The address that shows why a taxon stands where it does.</summary>
    string Why(Taxon taxon) => $"{Look}?taxon={Uri.EscapeDataString(taxon.Name.Slug)}";

    /// <summary>What a form is sent to.</summary>
    string To(string handler);

    /// <summary>All about a plant.</summary>
    string Plant(Taxon taxon);

    /// <summary>A key to carry, made for a few taxa.</summary>
    string Key(IEnumerable<Taxon> taxa);

    /// <summary>What a form must carry so that it is known to be this page's own; null where the host asks for nothing.</summary>
    string? Token { get; }
}
