using Microsoft.AspNetCore.DataProtection.EntityFrameworkCore;
using Microsoft.AspNetCore.Identity.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore;
using Npgsql;
using VerdantSieve.Store.Curating;
using VerdantSieve.Store.Floras;
using VerdantSieve.Store.Lists;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Store.People;
using VerdantSieve.Store.Practising;

namespace VerdantSieve.Store;

/// <summary>The database: floras with their changes, notebooks, and those who have accounts.</summary>
public sealed class SieveContext(DbContextOptions<SieveContext> options) : IdentityDbContext<Person>(options), IDataProtectionKeyContext
{
    // More than a connection of the application meets; the rarest make room.
    private const int StatementsKept = 200;

    public DbSet<FloraRow> Floras => Set<FloraRow>();
    public DbSet<CharacterRow> Characters => Set<CharacterRow>();
    public DbSet<TaxonRow> Taxa => Set<TaxonRow>();
    public DbSet<ScoreRow> Scores => Set<ScoreRow>();
    public DbSet<RevisionRow> Revisions => Set<RevisionRow>();
    public DbSet<LookRow> Looks => Set<LookRow>();
    public DbSet<LookStepRow> LookSteps => Set<LookStepRow>();
    public DbSet<TreeRow> Trees => Set<TreeRow>();
    public DbSet<OpinionRow> Opinions => Set<OpinionRow>();
    public DbSet<OutingRow> Outings => Set<OutingRow>();
    public DbSet<MapRow> Maps => Set<MapRow>();
    public DbSet<PictureRow> Pictures => Set<PictureRow>();
    public DbSet<LetterRow> Letters => Set<LetterRow>();
    public DbSet<ShareRow> Shares => Set<ShareRow>();
    public DbSet<ImportRow> Imports => Set<ImportRow>();
    public DbSet<PlantListRow> Lists => Set<PlantListRow>();
    public DbSet<ClassRow> Classes => Set<ClassRow>();
    public DbSet<PracticeSetRow> PracticeSets => Set<PracticeSetRow>();
    public DbSet<PracticeAnswerRow> PracticeAnswers => Set<PracticeAnswerRow>();
    public DbSet<RepetitionRow> Repetitions => Set<RepetitionRow>();

    /// <summary>The keys that cookies and forms are sealed with, so that every process on this database reads them.</summary>
    public DbSet<DataProtectionKey> DataProtectionKeys => Set<DataProtectionKey>();

    /// <summary>The options for a connection string, the same for the application, its tests and its tools.</summary>
    public static void Configure(DbContextOptionsBuilder options, string connection) =>
        options.UseNpgsql(Quick(connection)).UseSnakeCaseNamingConvention();

    // The few statements that a reading takes cost the database more to plan than to carry out, so that each connection keeps the plans of
    // those it meets again. Nothing here changes a connection for good, so that none need be set back before it is lent again.
    private static string Quick(string connection) =>
        new NpgsqlConnectionStringBuilder(connection) { MaxAutoPrepare = StatementsKept, NoResetOnClose = true }.ConnectionString;

    protected override void OnModelCreating(ModelBuilder model)
    {
        base.OnModelCreating(model);
        model.Entity<RevisionRow>(revision =>
        {
            revision.HasKey(row => row.Id);
            revision.Property(row => row.Changes).HasColumnType("jsonb");
            revision.HasIndex(row => new { row.FloraId, row.TaxonName });
        });
        model.Entity<FloraRow>().HasKey(flora => flora.Id);
        model.Entity<CharacterRow>(character =>
        {
            character.HasKey(row => new { row.FloraId, row.Id });
            character.Property(row => row.Definition).HasColumnType("jsonb");
            character.HasOne<FloraRow>().WithMany().HasForeignKey(row => row.FloraId).OnDelete(DeleteBehavior.Cascade);
        });
        model.Entity<TaxonRow>(taxon =>
        {
            taxon.HasKey(row => new { row.FloraId, row.Name });
            taxon.Property(row => row.Definition).HasColumnType("jsonb");
            taxon.HasOne<FloraRow>().WithMany().HasForeignKey(row => row.FloraId).OnDelete(DeleteBehavior.Cascade);
        });
        model.Entity<ScoreRow>(score =>
        {
            score.HasKey(row => new
            {
                row.FloraId,
                row.TaxonName,
                row.CharacterId,
            });
            score.HasOne<TaxonRow>().WithMany().HasForeignKey(row => new { row.FloraId, row.TaxonName }).OnDelete(DeleteBehavior.Cascade);
            score
                .HasOne<CharacterRow>()
                .WithMany()
                .HasForeignKey(row => new { row.FloraId, row.CharacterId })
                .OnDelete(DeleteBehavior.Cascade);
        });
        model.Entity<FloraRow>(flora =>
        {
            flora.Property(row => row.ReferencePlace).HasColumnType("jsonb");
            flora.Property(row => row.Places).HasColumnType("jsonb");
            flora.Property(row => row.GenusWords).HasColumnType("jsonb");
            flora.Property(row => row.FamilyWords).HasColumnType("jsonb");
            flora.Property(row => row.Aggregates).HasColumnType("jsonb");
            flora.Property(row => row.NearAlike).HasColumnType("jsonb");
            flora.Property(row => row.Keyed).HasColumnType("jsonb").HasDefaultValueSql("'[]'::jsonb");
            flora.Property(row => row.Shared).HasColumnType("jsonb").HasDefaultValueSql("'[]'::jsonb");
            flora.Property(row => row.MissingKinds).HasColumnType("jsonb").HasDefaultValueSql("'{}'::jsonb");
        });
        model.Entity<ImportRow>(import =>
        {
            import.HasKey(row => row.Id);
            import.Property(row => row.Faults).HasColumnType("jsonb");
            import.HasIndex(row => row.Begun);
        });
        model.Entity<TreeRow>(tree =>
        {
            tree.HasKey(row => row.Id);
            tree.HasIndex(row => new { row.Owner, row.Discarded });
            tree.Property(row => row.Details).AsJson().HasDefaultValueSql("'{}'::jsonb");
            tree.Property(row => row.Before).AsJson();
        });
        model.Entity<OpinionRow>(line =>
        {
            line.HasKey(row => row.Id);
            line.Property(row => row.Kind).HasConversion<string>();
            line.Property(row => row.Qualifier).HasConversion<string>();
            line.HasOne<TreeRow>().WithMany().HasForeignKey(row => row.TreeId).OnDelete(DeleteBehavior.Cascade);
            line.HasOne<LookRow>().WithMany().HasForeignKey(row => row.LookId).OnDelete(DeleteBehavior.SetNull);
        });
        model.Entity<OutingRow>(outing =>
        {
            outing.HasKey(row => row.Id);
            outing.HasIndex(row => row.Owner);
            outing.Property(row => row.Track).AsJson();
        });
        model.Entity<MapRow>(map =>
        {
            map.HasKey(row => row.Id);
            map.HasIndex(row => row.Owner);
        });
        model.Entity<PictureRow>(picture =>
        {
            picture.HasKey(row => row.Id);
            picture.HasIndex(row => row.LookId);
            picture.Property(row => row.Taken).HasColumnType("timestamp without time zone");
            picture.HasOne<LookRow>().WithMany().HasForeignKey(row => row.LookId).OnDelete(DeleteBehavior.Cascade);
        });
        model.Entity<LetterRow>().HasKey(row => row.Id);
        model.Entity<ShareRow>(share =>
        {
            share.HasKey(row => new { row.Owner, row.With });
            share.Property(row => row.May).HasConversion<string>();
            share.HasOne<Person>().WithMany().HasForeignKey(row => row.Owner).OnDelete(DeleteBehavior.Cascade);
            share.HasOne<Person>().WithMany().HasForeignKey(row => row.With).OnDelete(DeleteBehavior.Cascade);
        });
        Practice(model);
        model.Entity<LookRow>(look =>
        {
            look.HasKey(row => row.Id);
            look.HasIndex(row => new { row.Discarded, row.Date });
            look.Property(row => row.Version).IsRowVersion();
            look.HasOne<TreeRow>().WithMany().HasForeignKey(row => row.TreeId).OnDelete(DeleteBehavior.Cascade);
            look.HasOne<OutingRow>().WithMany().HasForeignKey(row => row.OutingId).OnDelete(DeleteBehavior.SetNull);
        });
        model.Entity<LookStepRow>(step =>
        {
            step.HasKey(row => new { row.LookId, row.Number });
            step.Property(row => row.Content).HasColumnType("jsonb");
            step.HasIndex(row => new { row.LookId, row.Sent }).IsUnique().HasFilter("sent is not null");
            step.HasOne<LookRow>().WithMany().HasForeignKey(row => row.LookId).OnDelete(DeleteBehavior.Cascade);
        });
    }

    private static void Practice(ModelBuilder model)
    {
        model.Entity<PlantListRow>(list =>
        {
            list.HasKey(row => row.Id);
            list.HasIndex(row => new { row.Owner, row.Discarded });
            list.Ignore(row => row.Content);
            list.Property(row => row.Kinds).AsJson();
            list.Property(row => row.Before).AsJson();
        });
        model.Entity<ClassRow>(of =>
        {
            of.HasKey(row => row.Id);
            of.HasIndex(row => row.Owner);
            of.HasOne<PlantListRow>().WithMany().HasForeignKey(row => row.ListId).OnDelete(DeleteBehavior.Cascade);
        });
        model.Entity<PracticeSetRow>(set =>
        {
            set.HasKey(row => row.Id);
            set.HasIndex(row => new { row.Owner, row.Changed });
            set.HasOne<ClassRow>().WithMany().HasForeignKey(row => row.ClassId).OnDelete(DeleteBehavior.SetNull);
        });
        model.Entity<PracticeAnswerRow>(answer =>
        {
            answer.HasKey(row => row.Id);
            answer.HasIndex(row => new { row.SetId, row.At }).IsUnique();
            answer.Ignore(row => row.Answer);
            answer.Property(row => row.Certainty).HasConversion<string>();
            answer.Property(row => row.Before).AsJson();
            answer.HasOne<PracticeSetRow>().WithMany().HasForeignKey(row => row.SetId).OnDelete(DeleteBehavior.Cascade);
        });
        model.Entity<RepetitionRow>(repetition =>
        {
            repetition.HasKey(row => new { row.Owner, row.Subject });
            repetition.Ignore(row => row.Value);
            repetition.HasIndex(row => new { row.Owner, row.Due });
        });
    }
}
